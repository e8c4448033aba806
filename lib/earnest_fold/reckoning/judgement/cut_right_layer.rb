# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # The curtain itself is out of the way when a strip is cut off.
      module CutRightLayer
        CODE = "cut_right_layer"
        STATION = %w[making alter].freeze
        STEP = "trim_to_width"
        ALTERING_STEP = "cut_strip"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          if seen.reckoning && (seen.treatment.making.trim == "to_fullness" || seen.heading.dictates?)
            {width: seen.curtains.first.cut_width}
          end
        end

        # @param seen [AlterCase]
        # @return [Hash, nil]
        def self.altering(seen)
          {form: :strip, width: seen.made.left_over} if seen.alteration.tuck
        end
      end

      register(CutRightLayer)
    end
  end
end
