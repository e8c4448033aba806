# frozen_string_literal: true

require "prawn"
require "prawn/table"

module EarnestFold
  module Documents
    # A sheet of paper as PDF: the application's fonts, its title and page numbers, and tables as the screens have them.
    class Paper
      FONTS = File.join(EarnestFold.root, "assets/fonts")
      INK, SOFT, LINE = "2b3a42", "56636a", "d8cfbd"
      MARGIN = 48

      # @param title [String]
      # @param about [String] what stands small below it
      def initialize(title, about: "")
        @pdf = Prawn::Document.new(page_size: "A4", margin: MARGIN, info: {Title: title, Creator: "Earnest Fold"})
        fonts
        @pdf.fill_color INK
        heading(title, about)
      end

      # @param title [String]
      # @param head [Array<String>]
      # @param rows [Array<Array<String>>]
      # @param right [Array<Integer>] the columns whose figures stand at the right
      # @return [self]
      def table(title, head, rows, right: [])
        return self if rows.empty?

        @pdf.move_down 14
        @pdf.font("Slab") { @pdf.text printable(title), size: 13 }
        @pdf.move_down 4
        @pdf.table([head, *rows].map { |row| row.map { |cell| printable(cell) } }, header: true, width: @pdf.bounds.width) { |made| dress(made, right) }
        self
      end

      # @param text [String]
      # @return [self]
      def note(text)
        @pdf.move_down 8
        @pdf.text printable(text), size: 10, color: SOFT
        self
      end

      # @return [String] the file
      def render
        @pdf.number_pages "<page> / <total>", at: [@pdf.bounds.right - 60, -14], width: 60, align: :right, size: 9, color: SOFT
        @pdf.render
      end

      private

      def fonts
        @pdf.font_families.update("Sans" => {normal: File.join(FONTS, "source-sans-3-regular.ttf"), bold: File.join(FONTS, "source-sans-3-bold.ttf")},
          "Slab" => {normal: File.join(FONTS, "bitter-semibold.ttf")})
        @pdf.font "Sans", size: 11
      end

      def heading(title, about)
        @pdf.font("Slab") { @pdf.text printable(title), size: 20 }
        @pdf.text printable(about), size: 10, color: SOFT unless about.empty?
      end

      def dress(made, right)
        made.cells.style(borders: [:bottom], border_color: LINE, border_width: 0.6, padding: [4, 8, 4, 0])
        made.row(0).style(text_color: SOFT, size: 9)
        right.each { |column| made.column(column).style(align: :right, padding: [4, 0, 4, 8]) }
      end

      # What the fonts have no sign for is left out as a question mark, so that one odd letter never loses the paper.
      def printable(text) = text.to_s.gsub(/[^\u0020-\u024f\u2010-\u2026\u2032\u2033\u20ac\u2212\n]/, "?")
    end
  end
end
