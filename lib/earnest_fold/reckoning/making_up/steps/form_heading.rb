# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # Pleats, eyelets, tabs, rings or gathers set at their running distances from the leading edge.
      module FormHeading
        extend Kind

        CODE = "form_heading"
        RANK = 80
        NEEDS = %w[put_on_heading turn_top].freeze
        TOOLS = %i[rule chalk needle].freeze
        # The figures of a heading that it is set out by.
        SET_OUT = %i[pleats space take_up eyelets pitch first tabs rings gap gliders hooks pocket].freeze

        # @param work [MakingCase]
        # @return [Array<Draft>]
        def self.call(work)
          work.curtains.map do |curtain|
            marks = work.marks(curtain)
            figures = curtain.heading.slice(*SET_OUT).compact
            draft(
              {finished_width: curtain.span.finished_width, **figures},
              curtain: curtain.hand,
              check: check(:finished_width, curtain.span.finished_width, Length.mm(10)),
              times: {(figures.key?(:eyelets) ? :eyelet : :pleat) => [marks.size, 1].max}
            )
          end
        end
      end

      Kinds.register(FormHeading::CODE, FormHeading)
    end
  end
end
