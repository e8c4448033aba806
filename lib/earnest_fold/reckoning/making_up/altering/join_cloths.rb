# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Several cloths joined side by side, their made edges where they show.
      module JoinCloths
        extend Kind

        CODE = "join_cloths"
        RANK = 25
        NEEDS = %w[measure_again].freeze
        TOOLS = %i[pins machine iron].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          count = work.alteration.cloths_joined(work.curtain)
          return [] if count < 2

          work.hands.map do |hand|
            draft(
              {cloths: count, width_in_all: work.alteration.across(work.curtain) * count},
              curtain: hand,
              times: {set_up: 1, join: metres(work.as_it_came) * (count - 1)}
            )
          end
        end
      end

      AlteringKinds.register(JoinCloths::CODE, JoinCloths)
    end
  end
end
