# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The two seam lines of the tuck laid on each other and sewn, and the length measured before anything is cut.
      module SewTuck
        extend Kind

        CODE = "sew_tuck"
        RANK = 45
        NEEDS = %w[mark_lines compare_lines].freeze
        TOOLS = %i[pins machine iron].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.tuck?

          work.hands.map do |hand|
            draft({remove: work.removed, tuck_fold: work.removed / 2, length_now: work.as_it_came - work.removed}, curtain: hand, check: at_both_edges(:length_now, work.as_it_came - work.removed, work.house.pair_tolerance),
              times: {set_up: 1, join: work.across})
          end
        end
      end

      AlteringKinds.register(SewTuck::CODE, SewTuck)
    end
  end
end
