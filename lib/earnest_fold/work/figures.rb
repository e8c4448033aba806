# frozen_string_literal: true

module EarnestFold
  module Work
    # What is reckoned of all that a job makes: figures alone, however far the work is.
    class Figures
      include Remembers

      R = Reckoning

      # @param reckoned [Array<Reckoned>]
      # @param unit [Reckoning::Unit]
      def initialize(reckoned, unit)
        @reckoned, @unit = reckoned, unit
      end

      # @return [Array] all that it was given
      def made_of = [@unit, *@reckoned.map(&:state)]

      # @return [Array<Reckoning::TreatmentReckoning>]
      #
      #   in_hand.figures.reckonings.map(&:id) # => ["office", "parlour"]
      def reckonings = @reckonings ||= @reckoned.filter_map(&:reckoning)

      # @return [Array<Reckoning::ClothReckoning>] the cloths that are used
      #
      #   in_hand.figures.cloths_needed.map(&:length_needed) # => [20568 mm, 8972 mm]
      def cloths_needed =
        once(:cloths_needed) do
          reckonings
            .flat_map { |reckoning| reckoning.treatment.cloths }
            .uniq(&:id)
            .map { |cloth| R::ClothReckoning.of(cloth, reckonings) }
        end

      # @param cloth [Reckoning::Cloth] one of them
      # @return [Array<Reckoning::Cutting::Cut>] every cut that is wanted of it
      #
      #   in_hand.figures.cuts(cloth).size # => 8
      def cuts(cloth) = once(:cuts, cloth.id) { R::Cutting::Demand.of(reckonings, cloth) }
    end
  end
end
