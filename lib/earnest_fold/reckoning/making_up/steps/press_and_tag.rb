# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Pressed, folded and tagged: maker, cloth, batch, drop as made.
      module PressAndTag
        extend Kind

        CODE = "press_and_tag"
        RANK = 99
        NEEDS = %w[compare_pair sew_hem put_in_hooks mark_drop form_heading].freeze
        TOOLS = %i[iron].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          [
            draft(
              {finished_drop: work.reckoning.finished_drop, curtains: work.curtains.size},
              times: {finish: work.curtains.size}
            )
          ]
        end
      end

      Kinds.register(PressAndTag::CODE, PressAndTag)
    end
  end
end
