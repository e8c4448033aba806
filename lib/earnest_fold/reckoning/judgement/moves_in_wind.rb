# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Light cloth at an opening window lifts.
      module MovesInWind
        CODE = "moves_in_wind"
        STATION = "measure"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          mass = seen.treatment.face&.mass
          {mass: mass} if seen.treatment.site.opens && mass && mass < 120
        end
      end

      Rules.register(MovesInWind::CODE, MovesInWind)
    end
  end
end
