# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The finished drop marked, the same at both edges and at every seam: from the hem up, or from the top down.
      module MarkDrop
        extend Kind

        CODE = "mark_drop"
        RANK = 70
        NEEDS = %w[lock_in_lining table_lining bag_lining].freeze
        TOOLS = %i[table tape chalk].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          work.curtains.map do |curtain|
            draft(
              {
                finished_drop: work.reckoning.finished_drop,
                top: work.top,
                spare: work.making.squaring.positive? ? work.making.squaring : nil
              },
              curtain: curtain.hand,
              check: at_both_edges(:finished_drop, work.reckoning.finished_drop, Length.mm(3)),
              times: {mark: 1}
            )
          end
        end

        def self.needs(house) = NEEDS + ((house.making_order == "heading_first") ? %w[form_heading] : %w[sew_hem])

        def self.rank(house) = (house.making_order == "heading_first") ? 85 : RANK
      end

      Kinds.register(MarkDrop::CODE, MarkDrop)
    end
  end
end
