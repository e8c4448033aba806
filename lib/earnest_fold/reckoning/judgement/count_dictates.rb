# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # The hardware dictates the width: choose the count first.
      module CountDictates
        CODE = "count_dictates"
        STATION = "heading"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          curtain = seen.curtains.first or return
          near = seen.heading.near_counts(curtain.task, curtain.heading)
          chosen = near.find(&:chosen)
          {count: chosen.count, flat: chosen.flat} if chosen && seen.heading.dictates?
        end
      end

      Rules.register(CountDictates::CODE, CountDictates)
    end
  end
end
