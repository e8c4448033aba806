# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The hem pressed, not yet sewn: its fold lines from the raw edge.
      module PressHem
        extend Kind

        CODE = "press_hem"
        RANK = 55
        NEEDS = %w[join_widths turn_sides bag_lining].freeze
        TOOLS = %i[iron gauge].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          hem = work.making.hem
          return [] if hem.taken.zero?

          second = (hem.kind == "double") ? hem.depth * 2 : nil
          work.curtains.map do |curtain|
            draft(
              {
                hem_fold: hem.taken,
                first_press: (hem.kind == "double") ? hem.depth : hem.turn_under,
                second_press: second
              },
              curtain: curtain.hand,
              check: check(:hem_depth, hem.depth, Length.mm(2)),
              times: {set_up: 1, press: metres(curtain.flat_width)}
            )
          end
        end

        # Who heads first marks the hem from the finished top.
        def self.needs(house) = (house.making_order == "heading_first") ? NEEDS + %w[mark_drop] : NEEDS

        def self.rank(house) = (house.making_order == "heading_first") ? 86 : RANK
      end

      Kinds.register(PressHem::CODE, PressHem)
    end
  end
end
