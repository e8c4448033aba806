# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Both sides are sewn in one direction.
      module SameDirection
        CODE = "same_direction"
        STATION = "making"
        STEP = "bag_lining"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.reckoning && seen.lined?
        end
      end

      Rules.register(SameDirection::CODE, SameDirection)
    end
  end
end
