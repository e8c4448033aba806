# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # An edge that curls wants no heat.
      module Curls
        CODE = "curls"
        STATION = "making"
        STEP = "turn_sides"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {cloth: seen.treatment.face.name} if seen.treatment.face&.curls
        end
      end

      Rules.register(Curls::CODE, Curls)
    end
  end
end
