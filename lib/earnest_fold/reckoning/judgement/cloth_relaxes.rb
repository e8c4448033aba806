# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Heavy cloth drops: let it hang a day, or keep spare.
      module ClothRelaxes
        CODE = "cloth_relaxes"
        STATION = "cloth"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          mass = seen.treatment.face&.mass
          {mass: mass} if mass && mass >= 300
        end
      end

      Rules.register(ClothRelaxes::CODE, ClothRelaxes)
    end
  end
end
