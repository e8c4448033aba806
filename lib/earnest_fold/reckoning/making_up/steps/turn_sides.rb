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
          way = work.by_hand? ? :side_by_hand : :side_by_machine
          work.curtains.map do |curtain|
            draft(
              {takes: side.taken, fold: side.depth, under: side.turn_under.positive? ? side.turn_under : nil},
              curtain: curtain.hand,
              times: {way => metres(work.reckoning.finished_drop * 2)}
            )
          end
        end
      end

      Kinds.register(TurnSides::CODE, TurnSides)
    end
  end
end
