# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A rotary cutter's guard is closed whenever it is put down.
      module BladesNeedles
        CODE = "blades_needles"
        STATION = %w[cutting making].freeze
        STEP = "join_widths"
        MANNER = :caution

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          return {form: :rotary} if seen.cutting&.first_on_piece && seen.house.cutter == "rotary"

          {form: :machine} if seen.cutting.nil? && seen.reckoning && seen.house.stitching == "machine"
        end
      end

      Rules.register(BladesNeedles::CODE, BladesNeedles)
    end
  end
end
