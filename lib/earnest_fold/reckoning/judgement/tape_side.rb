# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Pockets outward, from a pocket.
      module TapeSide
        CODE = "tape_side"
        STATION = "making"
        STEP = "put_on_heading"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.reckoning && seen.heading.taped?
        end
      end

      Rules.register(TapeSide::CODE, TapeSide)
    end
  end
end
