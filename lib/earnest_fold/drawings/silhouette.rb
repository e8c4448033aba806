# frozen_string_literal: true

require "cgi/escape"

module EarnestFold
  module Drawings
    # A treatment no larger than a thumbnail, true in its proportions: for the rail and the job's page.
    class Silhouette
      WIDTH, HEIGHT, GAP = 40, 54, 3
      # What nobody has measured yet.
      OPEN = %(<rect x="4" y="8" width="38" height="42" class="silhouette-open"/>)

      # @param rail [String] the line that it hangs from, as a path
      # @param inside [String] SVG
      # @return [String] SVG
      def self.around(rail, inside) =
        %(<svg class="silhouette" viewBox="0 0 46 54" aria-hidden="true">) +
          %(<path d="#{rail}" class="rail-line"/>#{inside}</svg>)

      # @param reckoning [Reckoning::TreatmentReckoning, nil] nil: nobody has measured it yet
      # @param colour [String]
      def initialize(reckoning, colour)
        @reckoning, @colour = reckoning, colour
      end

      # @return [String]
      #
      #   size(Drawings::Silhouette.new(reckoning, "#c8b79a")) # => "46 54"
      def to_s
        Silhouette.around(rail, @reckoning ? cloth : OPEN)
      end

      private

      # A dress pair leaves the window free between its two supports.
      def dress? = @reckoning && @reckoning.treatment.supports.size > 1

      def rail = dress? ? "M2 7H17M29 7H44" : "M2 7H44"

      def cloth
        count, gap = @reckoning.curtains.size, dress? ? 14 : GAP
        wide = [(WIDTH - gap * (count - 1)) / count.to_f, 0.5].max
        Array.new(count) { |index| curtain((3 + index * (wide + gap)).round(1), wide.round(1)) }.join
      end

      def curtain(left, wide)
        folds = (1..3).map { |fold| "M#{(left + wide * fold / 4).round(1)} 10v#{(tall - 4).round(1)}" }.join
        size = %(x="#{left}" y="8" width="#{wide}" height="#{tall}")
        fill = CGI.escapeHTML(Tint.of(@colour))
        %(<rect #{size} fill="#{fill}" class="silhouette-cloth"/><path d="#{folds}" class="fold"/>)
      end

      # As tall beside its width as the treatment is, within what fits.
      def tall
        whole = @reckoning.curtains.map(&:finished_width).reduce(:+)
        ((@reckoning.finished_drop / whole).to_f.clamp(0.5, 2.2) * 36).clamp(20, 44).round(1)
      end
    end
  end
end
