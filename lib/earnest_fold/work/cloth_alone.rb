# frozen_string_literal: true

module EarnestFold
  module Work
    # A treatment's cuts of one cloth, as if nothing else were cut from it. Most figures that are typed change none of
    # them: at Reckon what is made of them is remembered under cloth and cuts, whatever else is typed. A treatment that
    # is kept has it as long as its figures, and needs no other place.
    class ClothAlone
      include Remembers

      # @return [Array(Reckoning::Cloth, Array<Reckoning::Cutting::Cut>)]
      attr_reader :made_of

      # @param cloth [Reckoning::Cloth]
      # @param reckoning [Reckoning::TreatmentReckoning]
      def initialize(cloth, reckoning)
        @made_of = [cloth, Reckoning::Cutting::Demand.of([reckoning], cloth)].freeze
      end

      # @return [Reckoning::ClothReckoning]
      #
      #   work.reckoned.cloth_alone(cloth).reckoned.length_to_order # => 10400 mm
      def reckoned = @reckoned ||= Reckoning::ClothReckoning.new(*made_of)
    end
  end
end
