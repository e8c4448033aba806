# frozen_string_literal: true

require "prawn"
require "prawn/table"
require "prawn-svg"

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
        set = PaperRows.new(@pdf, @letters, [*widths, @pdf.bounds.width - widths.sum])
        set.add(head, size: 9, color: SOFT) if head
        rows.each { |row| set.add(row, size: 10, color: INK) }
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
        PaperLabels.new(@pdf, @letters, across, down).add(labels, opens)
        self
      end

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
