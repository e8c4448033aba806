# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The old hem let down, its fold pressed out.
      module UnpickHem
        extend Kind

        CODE = "unpick_hem"
        RANK = 20
        NEEDS = %w[measure_again].freeze
        TOOLS = %i[needle iron].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.let_down?

          work.hands.map do |hand|
            draft(
              {old_hem: work.alteration.existing_hem.taken, available: work.alteration.available},
              curtain: hand,
              times: {unpick: work.across, press: work.across}
            )
          end
        end
      end

      AlteringKinds.register(UnpickHem::CODE, UnpickHem)
    end
  end
end
