# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Checks
      # The drawn-up heading differs from the finished width by more than 5 %.
      module HeadingMissesWidth
        CODE = "heading_misses_width"
        LEVEL = :warn
        AT = %w[heading.skips heading.fullness].freeze

        # @param reckoning [TreatmentReckoning]
        # @return [Hash, nil]
        #
        #   Checks::HeadingMissesWidth.call(reckoning) # => nil
        def self.call(reckoning)
          heading = reckoning.treatment.heading
          off = reckoning.curtains.find do |curtain|
            made = heading.drawn_up(curtain.heading)
            made && (made - curtain.finished_width).abs > curtain.finished_width / 20
          end
          {made: heading.drawn_up(off.heading), wanted: off.finished_width} if off
        end
      end

      Kinds.register(HeadingMissesWidth::CODE, HeadingMissesWidth)
    end
  end
end
