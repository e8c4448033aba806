# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Pressed, folded, what was noted read through once more.
      module PressAndHandBack
        extend Kind

        CODE = "press_and_hand_back"
        RANK = 95
        NEEDS = %w[check_length].freeze
        TOOLS = %i[iron].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          [draft({curtains: work.curtain.curtains}, times: {finish: work.curtain.curtains})]
        end
      end

      AlteringKinds.register(PressAndHandBack::CODE, PressAndHandBack)
    end
  end
end
