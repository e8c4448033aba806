# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # A pair compared at both edges before either hem is sewn.
      module CompareEdges
        extend Kind

        CODE = "compare_edges"
        RANK = 65
        NEEDS = %w[press_new_hem].freeze
        TOOLS = %i[table tape].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.pair? && work.alteration.new_hem

          [
            draft(
              {tolerance: work.house.pair_tolerance, length_at_last: work.alteration.length_at_last},
              check: at_both_edges(:difference, Length::ZERO, work.house.pair_tolerance),
              times: {compare: 1}
            )
          ]
        end
      end

      AlteringKinds.register(CompareEdges::CODE, CompareEdges)
    end
  end
end
