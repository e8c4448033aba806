# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # An eyelet's hole is drawn, and cut inside the line.
      module RingDrawn
        CODE = "ring_drawn"
        STATION = "making"
        STEP = "form_heading"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          {eyelets: seen.curtains.first.heading[:eyelets]} if seen.curtains.first&.heading&.fetch(:eyelets, nil)
        end
      end

      Rules.register(RingDrawn::CODE, RingDrawn)
    end
  end
end
