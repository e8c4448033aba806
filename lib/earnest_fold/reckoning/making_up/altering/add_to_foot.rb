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
          figures = work.alteration.added_to_foot or return []

          work.hands.map do |hand|
            draft(figures, curtain: hand, times: {set_up: 1, join: work.across * 2, press: work.across})
          end
        end
      end

      AlteringKinds.register(AddToFoot::CODE, AddToFoot)
    end
  end
end
