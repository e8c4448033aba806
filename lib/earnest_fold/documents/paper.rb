# frozen_string_literal: true

require "prawn"
require "prawn/table"
require "prawn-svg"
require "rqrcode_core"

module EarnestFold
  module Documents
    # A sheet of paper as PDF: the application's fonts, its title and page numbers, and tables as the screens have them.
    class Paper
      INK, SOFT, LINE = "2b3a42", "56636a", "d8cfbd"
      MARGIN = 48

      # @param title [String]
      # @param about [String] what stands small below it
      def initialize(title, about: "")
        @pdf = Prawn::Document.new(page_size: "A4", margin: MARGIN, info: {Title: title, Creator: "Earnest Fold"})
        @letters = Letters.new(@pdf)
        @pdf.fill_color INK
        heading(title, about)
      end

      # @param title [String]
      # @param head [Array<String>]
      # @param rows [Array<Array<String>>]
      # @param right [Array<Integer>] the columns whose figures stand at the right
      # @param widths [Hash{Integer => Numeric}] of columns that are not as wide as they come
      # @return [self]
      #
      #   Documents::Paper.new("Cloth").table("", ["Cloth"], [["Reed"]]).render[0, 5] # => "%PDF-"
      def table(title, head, rows, right: [], widths: {})
        return self if rows.empty?

        title(title)
        @pdf.table(
          [head, *rows].map { |row| row.map { |cell| printable(cell) } },
          header: true,
          width: @pdf.bounds.width,
          column_widths: filled(widths, head.size)
        ) do |made|
          dress(made, right)
        end
        self
      end

      # Rows of text in columns of fixed widths: a long list is set several times as fast as a {#table}.
      # @param title [String]
      # @param head [Array<String>, nil]
      # @param rows [Array<Array<String>>]
      # @param widths [Array<Numeric>] of the columns; the last has the rest
      # @return [self]
      #
      #   Documents::Paper.new("Cloth").list("", nil, [["Reed", "12 m"]], [80]).render[0, 5] # => "%PDF-"
      def list(title, head, rows, widths)
        title(title)
        @columns = [*widths, @pdf.bounds.width - widths.sum]
        listed(head, size: 9, color: SOFT) if head
        rows.each { |row| listed(row, size: 10, color: INK) }
        self
      end

      # @param title [String] what stands above it
      # @param svg [String] as wide as the sheet, its height as it comes
      # @return [self]
      #
      #   Documents::Paper.new("Cloth").drawing("", sheet.to_s).render[0, 5] # => "%PDF-"
      def drawing(title, svg)
        tall = @pdf.bounds.width * svg[/viewBox="0 0 [\d.]+ ([\d.]+)"/, 1].to_f / svg[/viewBox="0 0 ([\d.]+)/, 1].to_f
        @pdf.start_new_page if @pdf.cursor < [tall, @pdf.bounds.height - 60].min + 40
        title(title)
        @letters.kept { draw(@letters.drawable(svg), @pdf.bounds.width * [1, (@pdf.bounds.height - 60) / tall].min) }
        self
      end

      # Labels to be cut apart, a frame round each.
      # @param labels [Array<Array<String>>] the lines of each: the first large, the second larger
      # @param opens [Array<String, nil>] of each the address that its code opens
      # @return [self]
      #
      #   Documents::Paper.new("Shelf").labels([["R1"]], across: 2, down: 5).render[0, 5] # => "%PDF-"
      def labels(labels, across:, down:, opens: [])
        wide, tall = @pdf.bounds.width / across, (@pdf.bounds.height - 40) / down
        labels.zip(opens).each_slice(across * down).with_index do |page, number|
          @pdf.start_new_page if number.positive?
          page.each_with_index do |(lines, address), index|
            at = [index % across * wide, @pdf.bounds.height - 36 - index / across * tall]
            label(lines, at, wide, tall, beside: address ? CODE + 8 : 0)
            code(address, [at[0] + wide - CODE - 8, at[1] - 8]) if address
          end
        end
        self
      end

      # How large a code is printed, in points: 22 mm, which a phone reads at arm's length.
      CODE = 62
      private_constant :CODE

      # Photographs, two to a row.
      # @param images [Array<Array(String, String)>] JPEG, and words below it
      # @return [self]
      def images(images)
        wide = (@pdf.bounds.width - 20) / 2
        images.each_slice(2) do |row|
          @pdf.start_new_page if @pdf.cursor < 220
          top = @pdf.cursor - 8
          row.each_with_index { |(image, words), index| picture(image, words, [index * (wide + 20), top], wide) }
          @pdf.move_cursor_to(top - 210)
        end
        self
      end

      # @param text [String]
      # @return [self]
      #
      #   Documents::Paper.new("Cloth").note("cut at the fold").render[0, 5] # => "%PDF-"
      def note(text)
        @pdf.move_down 8
        @pdf.text printable(text), size: 10, color: SOFT
        self
      end

      # @return [String] the file
      #
      #   Documents::Paper.new("Cloth").render[0, 5] # => "%PDF-"
      def render
        @letters.note&.then { |words| note(words) }
        @pdf.number_pages "<page> / <total>",
          at: [@pdf.bounds.right - 60, -14],
          width: 60,
          align: :right,
          size: 9,
          color: SOFT
        @pdf.render
      end

      private

      # One row with a line below it, on a new page where it might not fit: each text is set only once, so its height
      # is guessed generously before and known after.
      def listed(cells, size:, color:)
        texts = cells.map { |cell| printable(cell) }
        @pdf.start_new_page if @pdf.cursor < texts.zip(@columns).map { |text, width| guessed(text, width, size) }.max
        top = @pdf.cursor
        @pdf.fill_color color
        tall = set(texts, top, size)
        @pdf.fill_color INK
        @pdf.move_cursor_to(top - tall - 8)
        @pdf.stroke_color LINE
        @pdf.line_width 0.6
        @pdf.stroke_horizontal_rule
      end

      # @return [Numeric] how tall the tallest of them came out
      def set(texts, top, size)
        left = 0
        texts.zip(@columns).map { |text, width|
          at = [left, top - 4]
          left += width
          text.empty? ? 0 : set_at(text, at, width - 8, size)
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
        text.split("\n").sum { |line| (line.size * size * 0.6 / (width - 8)).ceil } * size * 1.4 + 12

      # Where all columns but one are given, that one has the rest: so none has to be measured.
      def filled(widths, columns)
        open = (0...columns).to_a - widths.keys
        (open.size == 1) ? widths.merge(open.first => @pdf.bounds.width - widths.values.sum) : widths
      end

      def title(title)
        @pdf.move_down 14
        @pdf.font("Slab") { @pdf.text printable(title), size: 13 } unless title.empty?
        @pdf.move_down 4
      end

      def draw(svg, width) = @pdf.svg(
        Drawings::PrintStyle.added(svg), width: width, enable_web_requests: false, enable_file_requests_with_root: nil
      )

      def picture(image, words, at, wide)
        @pdf.image(StringIO.new(image), at: at, fit: [wide, 180])
        @pdf.text_box(
          printable(words),
          at: [at[0], at[1] - 184],
          width: wide,
          height: 14,
          size: 9,
          overflow: :shrink_to_fit
        )
      end

      # @param beside [Numeric] what is taken beside the first lines
      def label(lines, at, wide, tall, beside: 0)
        @pdf.bounding_box(at, width: wide, height: tall) do
          @pdf.stroke_color LINE
          @pdf.stroke_bounds
          @pdf.bounding_box([10, tall - 8], width: wide - 20, height: tall - 12) do
            lines.each_with_index do |line, index|
              @pdf.text_box printable(line),
                at: [0, @pdf.bounds.height - [0, 20, 46, 72, 88, 106][index]],
                size: [14, 20, 18, 9, 9, 11][index],
                style: (index < 3) ? :bold : :normal,
                width: wide - 20 - ((index < 3) ? beside : 0),
                height: 24,
                overflow: :shrink_to_fit
            end
          end
        end
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

      def heading(title, about)
        @pdf.font("Slab") { @pdf.text printable(title), size: 20 }
        @pdf.text printable(about), size: 10, color: SOFT unless about.empty?
      end

      def dress(made, right)
        made.cells.style(borders: [:bottom], border_color: LINE, border_width: 0.6, padding: [4, 8, 4, 0])
        made.row(0).style(text_color: SOFT, size: 9)
        right.each { |column| made.column(column).style(align: :right, padding: [4, 10, 4, 8]) }
      end

      def printable(text) = @letters.printable(text)
    end
  end
end
