# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A tape is never cut through a pocket.
      module TapeEnd
        CODE = "tape_end"
        STATION = "making"
        STEP = "put_on_heading"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.reckoning && seen.heading.taped?
        end
      end

      Rules.register(TapeEnd::CODE, TapeEnd)
    end
  end
end
