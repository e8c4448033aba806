# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Never two shades in one curtain or pair.
      module ShadeBatch
        CODE = "shade_batch"
        STATION = "cutting"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {batches: seen.cutting.batches.join(", ")} if seen.cutting && seen.cutting.batches.size > 1
        end
      end

      Rules.register(ShadeBatch::CODE, ShadeBatch)
    end
  end
end
