# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The interlining laid on the face and locked at its seams and sides.
      module LockInterlining
        extend Kind

        CODE = "lock_interlining"
        RANK = 40
        NEEDS = %w[join_widths trim_to_width].freeze
        TOOLS = %i[table needle].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.reckoning.interlining

          work.curtains.map do |curtain|
            draft(
              {finished_drop: work.reckoning.finished_drop, flat_width: curtain.flat_width},
              curtain: curtain.hand,
              times: {lock: metres(work.reckoning.finished_drop * (curtain.widths.ceil + 1))}
            )
          end
        end
      end

      Kinds.register(LockInterlining::CODE, LockInterlining)
    end
  end
end
