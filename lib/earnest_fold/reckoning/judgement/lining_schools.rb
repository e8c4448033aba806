# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Which school the lining follows, and what it means.
      module LiningSchools
        CODE = "lining_schools"
        STATION = "cloth"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          lining = seen.treatment.lining
          {lift: lining.lift, inset: lining.inset} if lining
        end
      end

      Rules.register(LiningSchools::CODE, LiningSchools)
    end
  end
end
