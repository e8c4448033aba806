# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A puffed frill's fold is never pressed.
      module NeverCrease
        CODE = "never_crease"
        STATION = "making"
        STEP = "turn_top"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {frill: seen.heading.frill} if seen.heading.respond_to?(:frill) && seen.heading.frill.positive?
        end
      end

      Rules.register(NeverCrease::CODE, NeverCrease)
    end
  end
end
