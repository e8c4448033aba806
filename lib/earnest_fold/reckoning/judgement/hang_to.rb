# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Readings far apart: hang to the shortest, or follow the floor.
      module HangTo
        CODE = "hang_to"
        STATION = "measure"
        MANNER = :ask

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          spread = seen.treatment.drop.spread
          {spread: spread, shortest: seen.treatment.drop.shortest} if spread > Drop::WIDE_SPREAD
        end
      end

      Rules.register(HangTo::CODE, HangTo)
    end
  end
end
