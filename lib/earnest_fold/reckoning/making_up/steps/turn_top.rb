# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The top folded down on its line.
      module TurnTop
        extend Kind

        CODE = "turn_top"
        RANK = 75
        NEEDS = %w[lock_in_lining table_lining bag_lining turn_sides].freeze
        TOOLS = %i[iron gauge].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          work.curtains.map do |curtain|
            draft({top: work.top}, curtain: curtain.hand, times: {set_up: 1, press: metres(curtain.flat_width)})
          end
        end

        def self.needs(house) = (house.making_order == "heading_first") ? NEEDS : NEEDS + %w[mark_drop]
      end

      Kinds.register(TurnTop::CODE, TurnTop)
    end
  end
end
