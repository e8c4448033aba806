# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # A drawing that is given all that it shows, and so is the same for as long as that is, whatever else is typed.
      class Drawn
        include Work::Remembers

        # @param kind [Class] of a drawing
        # @param shown [Array] what it is made from, compared by content
        # @return [String] SVG
        def self.svg(kind, *shown) = new(kind, shown).svg

        # @param kind [Class]
        # @param shown [Array]
        def initialize(kind, shown)
          @kind, @shown = kind, shown
        end

        # @return [Array]
        def made_of = [@kind, *@shown]

        # @return [String] SVG
        def svg = once(:svg) { @kind.new(*@shown).to_s }
      end
    end
  end
end
