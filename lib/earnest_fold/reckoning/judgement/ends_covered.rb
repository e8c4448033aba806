# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # The last ring goes beyond the bracket, or the pole shows.
      module EndsCovered
        CODE = "ends_covered"
        STATION = "measure"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if %w[pole rod].include?(seen.treatment.support.kind)
        end
      end

      Rules.register(EndsCovered::CODE, EndsCovered)
    end
  end
end
