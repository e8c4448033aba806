# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Every line drawn at its running distance from the edge that is kept, the same at both edges.
      module MarkLines
        extend Kind

        CODE = "mark_lines"
        RANK = 30
        NEEDS = %w[measure_again unpick_hem join_cloths].freeze
        TOOLS = %i[table tape chalk].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] if work.lines.empty?

          work.hands.map do |hand|
            main = work.main_line
            draft(
              work.lines_by_name,
              curtain: hand,
              check: main && at_both_edges(main.name, main.at, work.house.pair_tolerance),
              times: {mark: 1}
            )
          end
        end
      end

      AlteringKinds.register(MarkLines::CODE, MarkLines)
    end
  end
end
