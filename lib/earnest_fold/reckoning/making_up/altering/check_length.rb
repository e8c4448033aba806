# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The length as it was asked for, measured at both edges.
      module CheckLength
        extend Kind

        CODE = "check_length"
        RANK = 90
        NEEDS = %w[sew_new_hem cut_strip put_on_new_heading make_new_top add_to_foot].freeze
        TOOLS = %i[table tape].freeze

        # @param work [AlteringCase]
        # @return [Array<Draft>]
        def self.call(work)
          length = work.alteration.length_at_last
          work.hands.map do |hand|
            draft(
              {length_at_last: length, wanted_length: work.alteration.wanted_length},
              curtain: hand,
              check: at_both_edges(:length_at_last, length, work.house.pair_tolerance),
              times: {mark: 1}
            )
          end
        end
      end

      AlteringKinds.register(CheckLength::CODE, CheckLength)
    end
  end
end
