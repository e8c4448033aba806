# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Of somebody else's curtains.
    module Judgement
      # Somebody else's curtains: what was there before is noted before.
      say_altered("label_kept", "alter") { |seen| {count: seen.curtain.curtains} unless seen.noted }
    end
  end
end
