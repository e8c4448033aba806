# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The lining is hemmed before it joins.
      module HemLining
        extend Kind

        CODE = "hem_lining"
        RANK = 30
        NEEDS = %w[join_lining].freeze
        TOOLS = %i[iron pins machine].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.lined? && work.reckoning.lining.lining.hem.taken.positive?

          hem = work.reckoning.lining.lining.hem
          across = work.curtains.map(&:flat_width).reduce(:+)
          [draft({hem_depth: hem.depth, takes: hem.taken}, times: {set_up: 1, hem_by_machine: metres(across)})]
        end
      end

      Kinds.register(HemLining::CODE, HemLining)
    end
  end
end
