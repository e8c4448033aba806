# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The heading put on the plain panel: tape, hooks, pleats at their places.
      module PutOnNewHeading
        extend Kind

        CODE = "put_on_new_heading"
        RANK = 80
        NEEDS = %w[make_new_top].freeze
        TOOLS = %i[tape pins machine].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          figures = work.alteration.heading_put_on or return []

          work.hands.map do |hand|
            draft(
              figures,
              curtain: hand,
              check: check(:finished_width, work.alteration.finished_width, Length.mm(10)),
              times: {set_up: 1, tape: work.across, pleat: [work.alteration.marks.size, 1].max}
            )
          end
        end
      end

      AlteringKinds.register(PutOnNewHeading::CODE, PutOnNewHeading)
    end
  end
end
