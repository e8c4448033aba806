# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Lining and face sewn together at the sides, right sides together, and turned: the face wraps to the back alike
      # all the way up.
      module BagLining
        extend Kind

        CODE = "bag_lining"
        RANK = 50
        NEEDS = %w[join_widths trim_to_width hem_lining lock_interlining].freeze
        TOOLS = %i[pins machine iron].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.bagged?

          side = work.making.side
          work.curtains.map do |curtain|
            draft(
              {wrap: side.depth, seam: side.turn_under, lift: work.reckoning.lining.lining.lift},
              curtain: curtain.hand,
              check: check(:wrap, side.depth, Length.mm(2)),
              times: {join: metres(work.reckoning.finished_drop * 2)}
            )
          end
        end
      end

      Kinds.register(BagLining::CODE, BagLining)
    end
  end
end
