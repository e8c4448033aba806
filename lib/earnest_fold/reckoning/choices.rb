# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A treatment as it is or as it could be with other widths, fully reckoned. `apart` is how many widths more or less than
    # chosen; `length` the face cloth it takes, ordered alone.
    Choice = Value.define(:widths, :apart, :reckoning, :length, :cost) do
      def chosen? = apart.zero?
    end

    # The near alternatives of a treatment, each fully reckoned: "always show the choice beside it" in the rules.
    module Choices
      NEAR = [-1, -1/2r, 0, 1/2r, 1].freeze

      module_function

      # @param reckoning [TreatmentReckoning] run up the drop
      # @return [Array<Choice>] by widths of the first curtain, the fewest first; none where the cloth runs sideways
      def of(reckoning)
        return [] if reckoning.treatment.sideways?

        chosen = reckoning.curtains.map(&:widths).max
        NEAR.filter_map { |apart| choice(reckoning, chosen, apart) }
      end

      def choice(reckoning, chosen, apart)
        return made(reckoning, chosen, apart) if apart.zero?
        return unless (chosen + apart).positive?

        treatment = reckoning.treatment
        other = treatment.with(making: treatment.making.with(widths: chosen + apart))
        made(TreatmentReckoning.new(other), chosen + apart, apart) unless refused?(other)
      end

      # Only what hangs on the widths can be refused anew.
      def refused?(treatment) = Problems.new.tap { |problems| Refusals.counts(treatment, problems) }.any?

      def made(reckoning, widths, apart)
        cloth = reckoning.treatment.face
        length = cloth.to_order(Cutting::Endless.new(cloth, Cutting::Demand.of([reckoning], cloth)).length_needed)
        Choice.new(widths: widths, apart: Rational(apart), reckoning: reckoning, length: length, cost: cloth.cost(length))
      end
    end
  end
end
