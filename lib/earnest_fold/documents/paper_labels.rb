# frozen_string_literal: true

require "rqrcode_core"

module EarnestFold
  module Documents
    # Labels on a paper, to be cut apart: a frame round each, its lines smaller and smaller, and beside the first of
    # them a code that a phone opens.
    # @api private
    class PaperLabels
      # How large a code is printed, in points: 22 mm, which a phone reads at arm's length.
      CODE = 62
      # Round a code, inside of the frame.
      ROUND = 8
      # Above the labels, where the paper's title stands, at least; between that and them; and below them.
      ABOVE, APART, BELOW = 36, 10, 4
      # No label is less tall: below a title of many lines there are fewer to a page.
      LEAST = 134
      # The lines of a label from above: how far down each stands, how large, and how heavy.
      LINES = [
        [0, 14, :bold],
        [20, 20, :bold],
        [46, 18, :bold],
        [72, 9, :normal],
        [88, 9, :normal],
        [106, 11, :normal]
      ].freeze
      private_constant :CODE, :ROUND, :ABOVE, :APART, :BELOW, :LEAST, :LINES

      # @param pdf [Prawn::Document] with its title
      # @param letters [Letters]
      # @param across [Integer] so many on a page beside each other
      # @param down [Integer] below each other, at most
      def initialize(pdf, letters, across, down)
        @pdf, @letters, @across = pdf, letters, across
        @top = [pdf.bounds.height - ABOVE, pdf.cursor - APART].min
        @down = ((@top - BELOW) / LEAST).floor.clamp(1, down)
        @wide, @tall = pdf.bounds.width / across, (@top - BELOW) / @down
      end

      # @param labels [Array<Array<String>>] the lines of each
      # @param opens [Array<String, nil>] of each the address that its code opens
      # @return [self]
      def add(labels, opens)
        labels.zip(opens).each_slice(@across * @down).with_index do |page, number|
          @pdf.start_new_page if number.positive?
          page.each_with_index { |(lines, address), index| label(lines, address, place(index)) }
        end
        self
      end

      private

      def place(index) = [index % @across * @wide, @top - index / @across * @tall]

      def label(lines, address, at)
        @pdf.bounding_box(at, width: @wide, height: @tall) do
          @pdf.stroke_color Paper::LINE
          @pdf.stroke_bounds
          @pdf.bounding_box([10, @tall - 8], width: @wide - 20, height: @tall - 12) do
            lines.zip(LINES) { |text, how| line(text, how, beside: address ? CODE + ROUND : 0) }
          end
        end
        code(address, [at[0] + @wide - CODE - ROUND, at[1] - ROUND]) if address
      end

      # @param beside [Numeric] what is taken beside the heavy lines
      def line(text, (down, size, style), beside:)
        @pdf.text_box @letters.printable(text),
          at: [0, @pdf.bounds.height - down],
          size: size,
          style: style,
          width: @wide - 20 - ((style == :bold) ? beside : 0),
          height: 24,
          overflow: :shrink_to_fit
      end

      def code(address, at)
        rows = RQRCodeCore::QRCode.new(address, level: :m).modules
        each = CODE / rows.size.to_f
        rows.each_with_index do |row, down|
          row.each_with_index do |dark, across|
            next unless dark

            @pdf.fill_rectangle([at[0] + across * each, at[1] - down * each], each + 0.05, each + 0.05)
          end
        end
      end
    end
  end
end
