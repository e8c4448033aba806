# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What a job needs of one cloth, and how it is cut.
    class ClothReckoning
      # @return [Cloth]
      attr_reader :cloth
      # @return [Cutting::Endless] all its cuts on one endless piece
      attr_reader :endless

      # @param cloth [Cloth]
      # @param reckonings [Array<TreatmentReckoning>] of the whole job
      # @return [ClothReckoning]
      #
      #   ClothReckoning.of(cloth, [reckoning]).cloth.id # => "plain"
      def self.of(cloth, reckonings) = new(cloth, Cutting::Demand.of(reckonings, cloth))

      # @param cloth [Cloth]
      # @param cuts [Array<Cutting::Cut>]
      def initialize(cloth, cuts)
        @cloth, @cuts = cloth, cuts
        @endless = Cutting::Endless.new(cloth, cuts)
      end

      # @return [Length]
      #
      #   ClothReckoning.of(cloth, [reckoning]).length_needed # => 10328 mm
      def length_needed = endless.length_needed

      # @return [Length] up to the cloth's order step
      #
      #   ClothReckoning.of(cloth, [reckoning]).length_to_order # => 10400 mm
      def length_to_order = endless.length_to_order

      # @return [Rational, nil] unrounded
      #
      #   ClothReckoning.of(cloth, [reckoning]).cost # => (962/5)
      def cost = cloth.cost(length_to_order)

      # @return [Cutting::Plan, nil] on the pieces there are; nil where there are none
      #
      #   ClothReckoning.of(rolled, [reckoning]).plan.uncut_count # => 0
      def plan = cloth.pieces.any? ? @plan ||= Cutting::Planner.new(cloth, @cuts).plan : nil

      # @return [Array<Check>]
      #
      #   ClothReckoning.of(cloth, [reckoning]).checks # => []
      def checks
        return [] unless plan&.uncut&.any?

        [
          Check.new(
            code: "stock_short",
            level: :stop,
            data: {uncut: plan.uncut_count, to_buy: plan.uncut.sum(Length::ZERO, &:to_buy)}
          )
        ]
      end
    end
  end
end
