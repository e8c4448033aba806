# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # The widths given can't give the flat width that the tape dictates.
      module WidthsShort
        CODE = "widths_short"
        LEVEL = :stop
        AT = %w[making.widths].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   made = headed("wave", "making/widths" => "1").reckon
        #   Checks::WidthsShort.call(made) # => {:made=>1280 mm, :needed=>2464 mm, :least=>(2/1)}
        def self.call(reckoning)
          treatment = reckoning.treatment
          return unless treatment.heading.dictates? && treatment.making.widths && !treatment.sideways?

          made = treatment.width_rule.flat(treatment.making.widths)
          short = reckoning.curtains.find { |curtain| made < curtain.flat_needed }
          if short
            {
              made: made,
              needed: short.flat_needed,
              least: treatment.width_rule.least_for(short.flat_needed, treatment.making.step)
            }
          end
        end
      end

      Kinds.register(WidthsShort::CODE, WidthsShort)
    end
  end
end
