# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # The first cut of a treatment is measured again on the cloth.
      module RecheckFirst
        CODE = "recheck_first"
        STATION = "cutting"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          if seen.reckoning && seen.cutting&.first_of_treatment
            {drop: seen.reckoning.finished_drop, cut_drop: seen.cutting.length}
          end
        end
      end

      Rules.register(RecheckFirst::CODE, RecheckFirst)
    end
  end
end
