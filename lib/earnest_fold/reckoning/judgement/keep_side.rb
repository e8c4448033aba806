# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # The line's thickness belongs to the waste.
      module KeepSide
        CODE = "keep_side"
        STATION = "cutting"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {length: seen.cutting.length} if seen.cutting
        end
      end

      Rules.register(KeepSide::CODE, KeepSide)
    end
  end
end
