# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Cloth above a worktop, a radiator or a cooker.
      module AboveWorktop
        CODE = "above_worktop"
        STATION = "measure"
        MANNER = :caution

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          wall = seen.treatment.wall
          return {form: :heat, clear: seen.house.heat_gap} if seen.treatment.site.heat_near || wall.radiator

          {form: :worktop, clear: seen.house.clearance} if seen.treatment.drop.measured_to == "worktop" || wall.worktop
        end
      end

      Rules.register(AboveWorktop::CODE, AboveWorktop)
    end
  end
end
