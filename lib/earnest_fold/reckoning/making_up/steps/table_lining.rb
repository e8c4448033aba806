# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The hemmed lining laid on the face to the table's own line, both smoothed, and trimmed to the drop together.
      module TableLining
        extend Kind

        CODE = "table_lining"
        RANK = 65
        NEEDS = %w[hem_lining turn_sides lock_interlining].freeze
        TOOLS = %i[table rule shears].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.tabled?

          lining = work.reckoning.lining.lining
          work.curtains.map do |curtain|
            draft(
              {lift: lining.lift, inset: lining.inset, finished_drop: work.reckoning.finished_drop},
              curtain: curtain.hand,
              check: check(:lift, lining.lift, Length.mm(3)),
              times: {lock: metres(work.reckoning.finished_drop * (curtain.widths.ceil + 1))}
            )
          end
        end

        # Where the hem is sewn first, the lining is laid over it.
        def self.needs(house) = (house.making_order == "heading_first") ? NEEDS : NEEDS + %w[sew_hem]
      end

      Kinds.register(TableLining::CODE, TableLining)
    end
  end
end
