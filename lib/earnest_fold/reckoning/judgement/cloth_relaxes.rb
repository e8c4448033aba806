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
        #
        #   Judgement::ClothRelaxes.call(seen) # => nil
        def self.call(seen)
          face = seen.treatment.face or return
          return {form: :heavy, mass: face.mass} if face.mass && face.mass >= 300

          {form: :loose} if face.loose
        end
      end

      register(ClothRelaxes)
    end
  end
end
