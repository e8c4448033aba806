# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A hem that drags wears.
      module HemWears
        CODE = "hem_wears"
        STATION = "making"
        STEP = "press_hem"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          if seen.treatment.drop.offset.positive? && [nil, "floor"].include?(seen.treatment.drop.measured_to)
            {drags: seen.treatment.drop.offset}
          end
        end
      end

      Rules.register(HemWears::CODE, HemWears)
    end
  end
end
