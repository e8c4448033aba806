# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Of what it comes to.
    module Judgement
      # Most of an alteration is measuring and pressing: what it takes, shown both ways.
      say_altered("price_by_time", "account") do |seen|
        if seen.priced
          {
            minutes: seen.priced.minutes.round,
            by_time: seen.priced.by_time.to_s,
            by_width: seen.priced.by_width.to_s
          }
        end
      end
    end
  end
end
