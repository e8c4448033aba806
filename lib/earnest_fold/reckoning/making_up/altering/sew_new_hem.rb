# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The new hem sewn.
      module SewNewHem
        extend Kind

        CODE = "sew_new_hem"
        RANK = 70
        NEEDS = %w[press_new_hem compare_edges].freeze
        TOOLS = %i[needle machine].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          hem = work.alteration.new_hem or return []
          return [] if hem.taken.zero?

          way = work.by_hand? ? :hem_by_hand : :hem_by_machine
          work.hands.map do |hand|
            draft(
              {hem_depth: hem.depth, flat_width: work.curtain.flat_width},
              curtain: hand,
              times: {:set_up => 1, way => work.across}
            )
          end
        end
      end

      AlteringKinds.register(SewNewHem::CODE, SewNewHem)
    end
  end
end
