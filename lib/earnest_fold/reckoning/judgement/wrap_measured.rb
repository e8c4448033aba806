# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # The face's wrap is measured on the first curtain and kept.
      module WrapMeasured
        CODE = "wrap_measured"
        STATION = "making"
        STEP = "bag_lining"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          if seen.reckoning && seen.lined? && seen.house.lining_school == "bagged"
            {wrap: seen.treatment.making.side.depth}
          end
        end
      end

      Rules.register(WrapMeasured::CODE, WrapMeasured)
    end
  end
end
