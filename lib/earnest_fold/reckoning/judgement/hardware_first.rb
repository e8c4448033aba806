# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Hanging waits for the smallest part: count it now.
      module HardwareFirst
        CODE = "hardware_first"
        STATION = "heading"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          needed = seen.reckoning&.carriers_needed
          on_hand = seen.treatment.support.carriers
          {needed: needed, on_hand: on_hand || 0} if needed && (on_hand.nil? || on_hand < needed)
        end
      end

      Rules.register(HardwareFirst::CODE, HardwareFirst)
    end
  end
end
