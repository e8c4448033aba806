# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A bow and no knot: it must open flat for cleaning.
      module CordsKept
        CODE = "cords_kept"
        STATION = "hanging"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.reckoning && seen.heading.corded?
        end
      end

      Rules.register(CordsKept::CODE, CordsKept)
    end
  end
end
