# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # All hook places are laid out before anything is sewn.
      module TryBeforeSewing
        CODE = "try_before_sewing"
        STATION = "making"
        STEP = "put_on_heading"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          if seen.reckoning && seen.heading.taped? && seen.curtains.first.heading[:hooks]
            {hooks: seen.curtains.first.heading[:hooks]}
          end
        end
      end

      Rules.register(TryBeforeSewing::CODE, TryBeforeSewing)
    end
  end
end
