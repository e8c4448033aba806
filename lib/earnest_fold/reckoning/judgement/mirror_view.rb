# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Face down, the leading edge is on the other hand.
      module MirrorView
        CODE = "mirror_view"
        STATION = "making"
        STEP = "turn_sides"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.reckoning
        end
      end

      Rules.register(MirrorView::CODE, MirrorView)
    end
  end
end
