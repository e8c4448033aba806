# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A table's own line is no measure until the tape says so.
      module OwnLineTrue
        CODE = "own_line_true"
        STATION = "making"
        STEP = "mark_drop"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {drop: seen.reckoning.finished_drop} if seen.reckoning && seen.house.cut_on == "table"
        end
      end

      Rules.register(OwnLineTrue::CODE, OwnLineTrue)
    end
  end
end
