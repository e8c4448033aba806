# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What a job needs of one cloth.
    ClothReckoning = Value.define(:cloth, :endless) do
      # @param cloth [Cloth]
      # @param reckonings [Array<TreatmentReckoning>] of the whole job
      # @return [ClothReckoning]
      def self.of(cloth, reckonings)
        new(cloth: cloth, endless: Cutting::Endless.new(cloth, Cutting::Demand.of(reckonings, cloth)))
      end

      # @return [Length]
      def length_needed = endless.length_needed

      # @return [Length] up to the cloth's order step
      def length_to_order = endless.length_to_order

      # @return [Rational, nil] unrounded
      def cost = cloth.cost(length_to_order)
    end
  end
end
