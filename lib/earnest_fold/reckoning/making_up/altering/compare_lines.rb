# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # A pair's lines laid on each other before either curtain is cut or sewn.
      module CompareLines
        extend Kind

        CODE = "compare_lines"
        RANK = 35
        NEEDS = %w[mark_lines].freeze
        TOOLS = %i[table tape].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.pair?

          [
            draft(
              {tolerance: work.house.pair_tolerance, **work.lines_by_name.first(1).to_h},
              check: at_both_edges(:difference, Length::ZERO, work.house.pair_tolerance),
              times: {compare: 1}
            )
          ]
        end
      end

      AlteringKinds.register(CompareLines::CODE, CompareLines)
    end
  end
end
