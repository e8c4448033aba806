# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # A pair's second curtain is laid on the first, at both edges, before either hem is sewn.
      module CompareHems
        extend Kind

        CODE = "compare_hems"
        RANK = 58
        NEEDS = %w[press_hem].freeze
        TOOLS = %i[table tape].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.pair? && work.making.hem.taken.positive?

          [
            draft(
              {tolerance: work.house.pair_tolerance, finished_drop: work.reckoning.finished_drop},
              check: at_both_edges(:difference, Length::ZERO, work.house.pair_tolerance),
              times: {compare: 1}
            )
          ]
        end

        def self.rank(house) = (house.making_order == "heading_first") ? 88 : RANK
      end

      Kinds.register(CompareHems::CODE, CompareHems)
    end
  end
end
