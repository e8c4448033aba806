# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # The drawn-up heading differs from the finished width by more than 5 %.
      module HeadingMissesWidth
        CODE = "heading_misses_width"
        LEVEL = :warn

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        def self.call(reckoning)
          return unless reckoning.treatment.heading.is_a?(PleaterHook)

          off = reckoning.curtains.find do |curtain|
            (curtain.heading[:heading_width] - curtain.finished_width).abs > curtain.finished_width / 20
          end
          {made: off.heading[:heading_width], wanted: off.finished_width} if off
        end
      end

      Kinds.register(HeadingMissesWidth::CODE, HeadingMissesWidth)
    end
  end
end
