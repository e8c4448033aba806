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
          removed = work.alteration.tuck or return []

          work.hands.map do |hand|
            draft(
              {remove: removed, tuck_fold: removed / 2, length_now: work.as_it_came - removed},
              curtain: hand,
              check: at_both_edges(:length_now, work.as_it_came - removed, work.house.pair_tolerance),
              times: {set_up: 1, join: work.across}
            )
          end
        end
      end

      AlteringKinds.register(SewTuck::CODE, SewTuck)
    end
  end
end
