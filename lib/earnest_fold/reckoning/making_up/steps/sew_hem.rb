# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The hem sewn.
      module SewHem
        extend Kind

        CODE = "sew_hem"
        RANK = 60
        NEEDS = %w[press_hem compare_hems put_in_weights].freeze
        TOOLS = %i[needle machine].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          hem = work.making.hem
          return [] if hem.taken.zero?

          way = work.by_hand? ? :hem_by_hand : :hem_by_machine
          work.curtains.map do |curtain|
            draft(
              {hem_depth: hem.depth, flat_width: curtain.flat_width},
              curtain: curtain.hand,
              times: {:set_up => 1, way => metres(curtain.flat_width)}
            )
          end
        end

        def self.rank(house) = (house.making_order == "heading_first") ? 89 : RANK
      end

      Kinds.register(SewHem::CODE, SewHem)
    end
  end
end
