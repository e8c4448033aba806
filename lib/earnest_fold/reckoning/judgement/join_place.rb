# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Half widths hang at the return edges.
      module JoinPlace
        CODE = "join_place"
        STATION = "cloth"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.curtains.any? { |curtain| curtain.widths.denominator == 2 }
        end
      end

      Rules.register(JoinPlace::CODE, JoinPlace)
    end
  end
end
