# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The lining's widths joined.
      module JoinLining
        extend Kind

        CODE = "join_lining"
        RANK = 28
        NEEDS = %w[].freeze
        TOOLS = %i[pins machine iron].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.lined?

          made = work.reckoning.lining
          counted = made.counts.select { |count| count > 1 }
          return [] if counted.empty?

          seams = counted.sum { |count| count.ceil - 1 }
          [
            draft(
              {seam: made.lining.seam || work.making.seam, seams: seams},
              times: {set_up: 1, join: metres(made.drop_cut.cut_drop * seams)}
            )
          ]
        end
      end

      Kinds.register(JoinLining::CODE, JoinLining)
    end
  end
end
