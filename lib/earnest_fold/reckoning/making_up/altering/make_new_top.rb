# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The new top turned.
      module MakeNewTop
        extend Kind

        CODE = "make_new_top"
        RANK = 75
        NEEDS = %w[cut_off].freeze
        TOOLS = %i[iron].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          top = work.alteration.new_top or return []

          work.hands.map { |hand| draft({top: top}, curtain: hand, times: {set_up: 1, press: work.across}) }
        end
      end

      AlteringKinds.register(MakeNewTop::CODE, MakeNewTop)
    end
  end
end
