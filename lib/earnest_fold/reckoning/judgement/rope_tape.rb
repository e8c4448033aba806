# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A tape that is pulled ropes.
      module RopeTape
        CODE = "rope_tape"
        STATION = "making"
        STEP = "put_on_heading"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.reckoning && seen.heading.taped?
        end
      end

      Rules.register(RopeTape::CODE, RopeTape)
    end
  end
end
