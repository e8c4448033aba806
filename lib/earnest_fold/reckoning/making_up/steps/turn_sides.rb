# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The sides turned, both folds measured while pressing.
      module TurnSides
        extend Kind

        CODE = "turn_sides"
        RANK = 50
        NEEDS = %w[join_widths trim_to_width lock_interlining set_out_heading].freeze
        TOOLS = %i[iron gauge needle].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] if work.bagged? || work.making.side.taken.zero?

          side = work.making.side
          each = work.by_hand? ? 12 : 5
          work.curtains.map { |curtain| draft({takes: side.taken, fold: side.depth, under: side.turn_under.positive? ? side.turn_under : nil}, curtain: curtain.hand, minutes: by_metre(work.reckoning.finished_drop * 2, each)) }
        end
      end

      Kinds.register(TurnSides::CODE, TurnSides)
    end
  end
end
