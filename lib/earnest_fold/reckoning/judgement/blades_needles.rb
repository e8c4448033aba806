# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A rotary cutter's guard is closed whenever it is put down.
      module BladesNeedles
        CODE = "blades_needles"
        STATION = "cutting"
        MANNER = :caution

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {} if seen.cutting&.first_on_piece && seen.house.cutter == "rotary"
        end
      end

      Rules.register(BladesNeedles::CODE, BladesNeedles)
    end
  end
end
