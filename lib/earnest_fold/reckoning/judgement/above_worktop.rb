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
          {clear: seen.treatment.drop.points.clear} if seen.treatment.drop.measured_to == "worktop" || seen.treatment.site.heat_near
        end
      end

      Rules.register(AboveWorktop::CODE, AboveWorktop)
    end
  end
end
