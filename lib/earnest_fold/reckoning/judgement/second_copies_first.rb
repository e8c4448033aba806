# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # The second curtain is laid on the first.
      module SecondCopiesFirst
        CODE = "second_copies_first"
        STATION = "making"
        STEP = "turn_sides"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.pair?
        end
      end

      Rules.register(SecondCopiesFirst::CODE, SecondCopiesFirst)
    end
  end
end
