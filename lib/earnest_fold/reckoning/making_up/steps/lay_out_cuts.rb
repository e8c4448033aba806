# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Every cut laid out, its top marked, its length checked.
      module LayOutCuts
        extend Kind

        CODE = "lay_out_cuts"
        RANK = 10
        NEEDS = %w[].freeze
        TOOLS = %i[tape rule].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          made = work.reckoning
          [
            draft(
              {cut_drop: made.cut_drop, cuts: made.widths_total},
              check: check(:cut_drop, made.cut_drop, Length.mm(2)),
              times: {lay_out: made.widths_total}
            )
          ]
        end
      end

      Kinds.register(LayOutCuts::CODE, LayOutCuts)
    end
  end
end
