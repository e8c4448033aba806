# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # Sticky tape gums the needle in light cloth.
      module NoStickyTape
        CODE = "no_sticky_tape"
        STATION = "making"
        STEP = %w[turn_sides bag_lining].freeze
        MANNER = :say
        # Grams per square metre.
        LIGHT = 150

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {mass: seen.treatment.face.mass} if (mass = seen.treatment.face&.mass) && mass <= LIGHT
        end
      end

      register(NoStickyTape)
    end
  end
end
