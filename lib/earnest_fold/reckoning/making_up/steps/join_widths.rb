# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Widths joined, seams at their running distances from the leading edge.
      module JoinWidths
        extend Kind

        CODE = "join_widths"
        RANK = 20
        NEEDS = %w[lay_out_cuts].freeze
        TOOLS = %i[pins machine iron].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] if work.treatment.sideways?

          work.curtains.select { |curtain| curtain.widths > 1 }.map do |curtain|
            seams = curtain.task.seams
            draft(
              {seam: work.making.seam, seams: seams.size, first_seam: seams.first},
              curtain: curtain.hand,
              times: {set_up: 1, join: metres(work.reckoning.cut_drop * seams.size)}
            )
          end
        end
      end

      Kinds.register(JoinWidths::CODE, JoinWidths)
    end
  end
end
