# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The finished curtains compared, both lengths at both edges.
      module ComparePair
        extend Kind

        CODE = "compare_pair"
        RANK = 95
        NEEDS = %w[sew_hem form_heading put_in_hooks mark_drop].freeze
        TOOLS = %i[table tape].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.pair?

          [
            draft(
              {finished_drop: work.reckoning.finished_drop, tolerance: work.house.pair_tolerance},
              check: at_both_edges(:difference, Length::ZERO, work.house.pair_tolerance),
              times: {compare: 1}
            )
          ]
        end
      end

      Kinds.register(ComparePair::CODE, ComparePair)
    end
  end
end
