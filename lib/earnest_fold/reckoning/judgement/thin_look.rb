# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Below the heading's usual range a curtain looks like a sheet when it is closed.
      module ThinLook
        CODE = "thin_look"
        STATION = "heading"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          usual = seen.heading.thin_below
          made = seen.curtains.map(&:fullness).min
          {made: made, usual: usual} if usual && made && made < usual
        end
      end

      Rules.register(ThinLook::CODE, ThinLook)
    end
  end
end
