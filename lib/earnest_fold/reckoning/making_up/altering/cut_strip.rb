# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The strip of the tuck cut off, the curtain itself out of the way.
      module CutStrip
        extend Kind

        CODE = "cut_strip"
        RANK = 50
        NEEDS = %w[sew_tuck].freeze
        TOOLS = %i[table shears].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.alteration.tuck

          work.hands.map do |hand|
            draft(
              {strip: work.made.left_over, seam: work.alteration.seam},
              curtain: hand,
              times: {cut: work.across, press: work.across}
            )
          end
        end
      end

      AlteringKinds.register(CutStrip::CODE, CutStrip)
    end
  end
end
