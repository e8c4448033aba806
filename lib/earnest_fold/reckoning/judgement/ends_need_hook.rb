# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A fixed pitch has a hook at both very ends.
      module EndsNeedHook
        CODE = "ends_need_hook"
        STATION = "heading"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          (pitch = seen.heading.pitch_to_the_ends) && {pitch: pitch}
        end
      end

      Rules.register(EndsNeedHook::CODE, EndsNeedHook)
    end
  end
end
