# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # No machine needle near a weight.
      module WeightsByHand
        CODE = "weights_by_hand"
        STATION = "making"
        STEP = "put_in_weights"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {weights: seen.curtains.first.weights} if seen.reckoning && seen.treatment.making.hem.taken.positive?
        end
      end

      Rules.register(WeightsByHand::CODE, WeightsByHand)
    end
  end
end
