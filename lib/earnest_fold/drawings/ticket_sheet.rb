# frozen_string_literal: true

module EarnestFold
  module Drawings
    # Tickets for the cuts as one drawing, two in a row, each in a frame: a file to print or to cut labels from.
    class TicketSheet
      ACROSS, WIDE, TALL = 2, 380, 132
      SIZES = [14, 20, 18, 11, 11, 12].freeze

      # @param tickets [Array<Array<String>>] the lines of each: the first three large
      # @param says [String]
      def initialize(tickets, says:)
        @tickets, @says = tickets, says
      end

      # @return [String]
      #
      #   size(Drawings::TicketSheet.new([["1", "R1"]], says: "")) # => "760 132"
      def to_s
        rows = [(@tickets.size.to_f / ACROSS).ceil, 1].max
        svg = Svg.new(ACROSS * WIDE, rows * TALL, says: @says)
        @tickets.each_with_index { |lines, index| ticket(svg, lines, index % ACROSS * WIDE, index / ACROSS * TALL) }
        PrintStyle.added(svg.to_s)
      end

      private

      def ticket(svg, lines, left, top)
        svg.rect(left + 1, top + 1, WIDE - 2, TALL - 2, class: "outline")
        y = top + 6
        lines.zip(SIZES).each_with_index do |(line, size), index|
          y += size + 3
          svg.text(left + 12, y, line, font_size: size, font_weight: (index < 3) ? "bold" : nil)
        end
      end
    end
  end
end
