# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Open hooks let go.
      module SHooks
        CODE = "s_hooks"
        STATION = "hanging"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.reckoning && seen.heading.hangs_from_open_hooks?
        end
      end

      Rules.register(SHooks::CODE, SHooks)
    end
  end
end
