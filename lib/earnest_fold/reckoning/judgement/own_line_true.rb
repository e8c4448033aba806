# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A table's own line is no measure until the tape says so.
      module OwnLineTrue
        CODE = "own_line_true"
        STATION = "making"
        STEP = "table_lining"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {drop: seen.reckoning.finished_drop} if seen.reckoning && seen.lined? && seen.house.lining_school == "tabled"
        end
      end

      Rules.register(OwnLineTrue::CODE, OwnLineTrue)
    end
  end
end
