# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Somebody else's curtains: what was there before is noted before.
      module LabelKept
        CODE = "label_kept"
        STATION = "alter"
        MANNER = :say

        # @param seen [AlterCase]
        # @return [Hash, nil]
        def self.altering(seen)
          {count: seen.curtain.curtains} unless seen.noted
        end
      end

      Rules.register(LabelKept::CODE, LabelKept)
    end
  end
end
