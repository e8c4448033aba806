# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What the fullness doesn't want is trimmed off at the return edge.
      module TrimToWidth
        extend Kind

        CODE = "trim_to_width"
        RANK = 25
        NEEDS = %w[join_widths set_out_heading].freeze
        TOOLS = %i[rule shears].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.making.trim == "to_fullness" || work.dictated?

          work.curtains.map do |curtain|
            draft(
              {cut_width: curtain.cut_width},
              curtain: curtain.hand,
              check: check(:cut_width, curtain.cut_width, Length.mm(3)),
              times: {mark: 1}
            )
          end
        end
      end

      Kinds.register(TrimToWidth::CODE, TrimToWidth)
    end
  end
end
