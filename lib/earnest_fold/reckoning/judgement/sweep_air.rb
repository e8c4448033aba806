# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Air under a wide lining lets it hang long.
      module SweepAir
        CODE = "sweep_air"
        STATION = "making"
        STEP = "lock_in_lining"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.lined? && seen.curtains.any? { |curtain| curtain.widths >= 2 }
        end
      end

      Rules.register(SweepAir::CODE, SweepAir)
    end
  end
end
