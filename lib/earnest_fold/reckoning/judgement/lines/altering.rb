# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Of somebody else's curtains.
    module Judgement
      # What lies behind the hem may not reach past it.
      caution_at_work("seam_past_hem", on: on(:cut, at: :seam)) do |_, touch|
        seam, hem = touch.figures.values_at(:seam, :made_hem)
        {seam: seam, hem: hem} if hem && seam > hem
      end

      # Somebody else's curtains: what was there before is noted before.
      say_altered("label_kept", "alter") { |seen| {count: seen.curtain.curtains} unless seen.noted }
    end
  end
end
