# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # What was delivered is measured before it is cut.
      module MeasureDelivery
        CODE = "measure_delivery"
        STATION = "cutting"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {width: seen.cutting.cloth.width} if seen.cutting && seen.cutting.measured == false
        end
      end

      Rules.register(MeasureDelivery::CODE, MeasureDelivery)
    end
  end
end
