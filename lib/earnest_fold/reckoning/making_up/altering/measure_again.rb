# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Each curtain measured again, at both edges: a length on paper may be of the other one.
      module MeasureAgain
        extend Kind

        CODE = "measure_again"
        RANK = 15
        NEEDS = %w[note_condition].freeze
        TOOLS = %i[table tape].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          length = work.as_it_came
          work.hands.map do |hand|
            draft(
              {as_it_came: length},
              curtain: hand,
              check: at_both_edges(:as_it_came, length, Length.mm(5)),
              times: {mark: 1}
            )
          end
        end
      end

      AlteringKinds.register(MeasureAgain::CODE, MeasureAgain)
    end
  end
end
