# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Errors add up over three widths and more.
      module SquareEachWidth
        CODE = "square_each_width"
        STATION = "making"
        STEP = "mark_drop"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {widths: seen.curtains.map(&:widths).max.ceil} if seen.curtains.any? { |curtain| curtain.widths >= 3 }
        end
      end

      Rules.register(SquareEachWidth::CODE, SquareEachWidth)
    end
  end
end
