# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What the foot wants laid on: a facing, or a band.
      module AddToFoot
        extend Kind

        CODE = "add_to_foot"
        RANK = 55
        NEEDS = %w[unpick_hem mark_lines compare_lines].freeze
        TOOLS = %i[pins machine iron].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.alteration.is_a?(Lengthen)

          band = work.alteration.figures[:band]
          figures = band.zero? ? {facing_seam: work.alteration.from_the_top} : {band: band, band_seam: work.alteration.figures[:longest_faced]}
          work.hands.map { |hand| draft(figures, curtain: hand, times: {set_up: 1, join: work.across * 2, press: work.across}) }
        end
      end

      AlteringKinds.register(AddToFoot::CODE, AddToFoot)
    end
  end
end
