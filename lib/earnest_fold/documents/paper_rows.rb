# frozen_string_literal: true

module EarnestFold
  module Documents
    # Rows of text in columns of fixed widths on a paper, a line below each: each text is set only once, so its height
    # is guessed generously before and known after.
    # @api private
    class PaperRows
      # Above and below a row's words, and beside them.
      ABOVE, BELOW, BESIDE = 4, 4, 8

      # @param pdf [Prawn::Document]
      # @param letters [Letters]
      # @param widths [Array<Numeric>] of the columns, in points
      def initialize(pdf, letters, widths)
        @pdf, @letters, @widths = pdf, letters, widths
      end

      # One row, on a new page where it might not fit.
      # @param cells [Array<String>]
      # @param size [Numeric] in points
      # @param color [String]
      # @return [self]
      def add(cells, size:, color:)
        texts = cells.map { |cell| @letters.printable(cell) }
        @pdf.start_new_page if @pdf.cursor < texts.zip(@widths).map { |text, width| guessed(text, width, size) }.max
        top = @pdf.cursor
        @pdf.fill_color color
        tall = set(texts, top, size)
        @pdf.fill_color Paper::INK
        @pdf.move_cursor_to(top - tall - ABOVE - BELOW)
        line
        self
      end

      private

      def line
        @pdf.stroke_color Paper::LINE
        @pdf.line_width 0.6
        @pdf.stroke_horizontal_rule
      end

      # @return [Numeric] how tall the tallest of them came out
      def set(texts, top, size)
        left = 0
        texts.zip(@widths).map { |text, width|
          at = [left, top - ABOVE]
          left += width
          text.empty? ? 0 : set_at(text, at, width - BESIDE, size)
        }.max
      end

      # What is as short as most of it is needn't be looked at word by word.
      # @return [Numeric] how tall it came out
      def set_at(text, at, width, size)
        return in_one_line(text, at, size) if one_line?(text, width, size)

        box = Prawn::Text::Box.new(text, document: @pdf, at: at, width: width, size: size)
        box.render
        box.height
      end

      def one_line?(text, width, size) =
        @pdf.fallback_fonts.empty? && !text.include?("\n") && @pdf.width_of(text, size: size) <= width

      def in_one_line(text, (left, top), size)
        tall = nil
        @pdf.font_size(size) do
          @pdf.draw_text(text, at: [left, top - @pdf.font.ascender])
          tall = @pdf.font.ascender + @pdf.font.descender
        end
        tall
      end

      # Letters are never wider than six tenths of their size, on average.
      def guessed(text, width, size) =
        text.split("\n").sum { |line| (line.size * size * 0.6 / (width - BESIDE)).ceil } * size * 1.4 + 12
    end
  end
end
