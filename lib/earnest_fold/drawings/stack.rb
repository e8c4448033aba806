# frozen_string_literal: true

module EarnestFold
  module Drawings
    # Several drawings of one width below each other, each under its title: a file that stands for itself.
    class Stack
      GAP, TITLE = 16, 30

      # @param drawings [Array<Array(String, String)>] title and SVG
      # @param says [String]
      def initialize(drawings, says:)
        @drawings, @says = drawings, says
      end

      # @return [String]
      #
      #   size(Drawings::Stack.new([["R1", sheet.to_s]], says: "")) # => "9 55"
      def to_s
        svg = Svg.new(widest, sizes.sum { |_, tall| tall + TITLE + GAP }, says: @says)
        top = 0
        @drawings.zip(sizes).each do |(title, drawing), (_, tall)|
          svg.text(16, top + 20, title, class: "figure")
          svg.inside(0, top + TITLE, drawing)
          top += tall + TITLE + GAP
        end
        PrintStyle.added(svg.to_s)
      end

      private

      def sizes =
        @sizes ||= @drawings.map do |_, drawing|
          drawing[/viewBox="0 0 ([\d. ]+)"/, 1].split.map { |number| Float(number) }
        end

      def widest = sizes.map(&:first).max || 100
    end
  end
end
