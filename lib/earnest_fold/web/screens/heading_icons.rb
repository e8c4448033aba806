# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The headings' small drawings, made once.
      module HeadingIcons
        R = Reckoning
        MADE = Hash.new do |icons, kind|
          problems = R::Problems.new
          values = kind.fields.read(kind.example, R::Units::MM, problems)
          icons[kind] = Drawings::HeadingIcon.of(kind.build(values, problems), R::NothingCut::SUPPORT).to_s
        end
        private_constant :MADE

        module_function

        # @param kind [Class] of heading
        # @return [String] SVG
        def of(kind) = MADE[kind]
      end
    end
  end
end
