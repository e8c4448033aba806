# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Spare above the top: how much, and when it is trimmed.
      module SpareOrExact
        CODE = "spare_or_exact"
        STATION = "cloth"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          squaring = seen.treatment.making.squaring
          {spare: squaring} if squaring.positive?
        end
      end

      Rules.register(SpareOrExact::CODE, SpareOrExact)
    end
  end
end
