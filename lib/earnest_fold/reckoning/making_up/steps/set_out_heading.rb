# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Where a tape, a cord or hooks dictate the width, the heading is set out before anything is sewn.
      module SetOutHeading
        extend Kind

        CODE = "set_out_heading"
        RANK = 12
        NEEDS = %w[lay_out_cuts].freeze
        TOOLS = %i[tape chalk].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          return [] unless work.dictated?

          work.curtains.map do |curtain|
            draft(
              {flat_width: curtain.flat_width, marks: work.marks(curtain).size},
              curtain: curtain.hand,
              check: check(:flat_width, curtain.flat_width, Length.mm(3)),
              times: {mark: 1}
            )
          end
        end
      end

      Kinds.register(SetOutHeading::CODE, SetOutHeading)
    end
  end
end
