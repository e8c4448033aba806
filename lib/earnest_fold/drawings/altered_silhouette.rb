# frozen_string_literal: true

module EarnestFold
  module Drawings
    # Somebody's own curtain no larger than a thumbnail: as long as it came in outline, as long as it will be filled.
    class AlteredSilhouette
      TALLEST = 42

      # @param made [Reckoning::AlterationOfJob, nil]
      def initialize(made)
        @made = made
      end

      # @return [String]
      #
      #   size(Drawings::AlteredSilhouette.new(own.reckoning)) # => "46 54"
      def to_s
        Silhouette.around("M2 7H44", @made ? cloth : Silhouette::OPEN)
      end

      private

      def cloth
        before, after = @made.alteration.extent(@made.curtain), @made.alteration.length_at_last
        scale = TALLEST / [before, after].max.mm
        %(<rect x="10" y="8" width="26" height="#{tall(before, scale)}" class="silhouette-open"/>) +
          %(<rect x="10" y="8" width="26" height="#{tall(after, scale)}" fill="#e6dcc6" class="silhouette-cloth"/>)
      end

      def tall(length, scale) = (length.mm * scale).to_f.clamp(4, TALLEST).round(1)
    end
  end
end
