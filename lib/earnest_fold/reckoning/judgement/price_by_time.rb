# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Most of an alteration is measuring and pressing: what it takes, shown both ways.
      module PriceByTime
        CODE = "price_by_time"
        STATION = "account"
        MANNER = :say

        # @param seen [AlterCase]
        # @return [Hash, nil]
        def self.altering(seen)
          if seen.priced
            {
              minutes: seen.priced.minutes.round,
              by_time: seen.priced.by_time.to_s,
              by_width: seen.priced.by_width.to_s
            }
          end
        end
      end

      Rules.register(PriceByTime::CODE, PriceByTime)
    end
  end
end
