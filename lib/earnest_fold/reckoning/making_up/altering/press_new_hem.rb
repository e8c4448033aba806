# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The new hem pressed, both folds measured while it is.
      module PressNewHem
        extend Kind

        CODE = "press_new_hem"
        RANK = 60
        NEEDS = %w[cut_off add_to_foot cut_strip].freeze
        TOOLS = %i[iron gauge].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          hem = work.alteration.new_hem or return []
          return [] if hem.taken.zero?

          second = hem.depth if hem.kind == "double"
          work.hands.map do |hand|
            draft(
              {
                hem_fold: hem.taken,
                first_press: (hem.kind == "double") ? hem.depth : hem.turn_under,
                second_press: second
              },
              curtain: hand,
              check: check(:hem_depth, hem.depth, Length.mm(2)),
              times: {set_up: 1, press: work.across}
            )
          end
        end
      end

      AlteringKinds.register(PressNewHem::CODE, PressNewHem)
    end
  end
end
