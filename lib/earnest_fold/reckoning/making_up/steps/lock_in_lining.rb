# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The hemmed lining locked in: above the hem by its lift, in from the sides by its inset.
      module LockInLining
        extend Kind

        CODE = "lock_in_lining"
        RANK = 65
        NEEDS = %w[hem_lining turn_sides lock_interlining].freeze
        TOOLS = %i[table needle pins].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.lined? && !work.bagged? && !work.tabled?

          lining = work.reckoning.lining.lining
          work.curtains.map do |curtain|
            draft(
              {lift: lining.lift, inset: lining.inset},
              curtain: curtain.hand,
              check: check(:lift, lining.lift, Length.mm(3)),
              times: {lock: metres(work.reckoning.finished_drop * (curtain.widths.ceil + 1))}
            )
          end
        end

        # Where the hem is sewn first, the lining is locked in over it.
        def self.needs(house) = (house.making_order == "heading_first") ? NEEDS : NEEDS + %w[sew_hem]
      end

      Kinds.register(LockInLining::CODE, LockInLining)
    end
  end
end
