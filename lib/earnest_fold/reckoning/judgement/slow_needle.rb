# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A hot needle melts a coating.
      module SlowNeedle
        CODE = "slow_needle"
        STATION = "making"
        STEP = "hem_lining"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {cloth: seen.treatment.lining.cloth.name} if seen.coated?
        end
      end

      Rules.register(SlowNeedle::CODE, SlowNeedle)
    end
  end
end
