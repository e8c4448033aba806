# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A hand-finished corner stands a hair proud, or the side draws it up.
      module CornerProud
        CODE = "corner_proud"
        STATION = "making"
        STEP = "turn_top"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.reckoning && seen.house.stitching == "hand"
        end
      end

      Rules.register(CornerProud::CODE, CornerProud)
    end
  end
end
