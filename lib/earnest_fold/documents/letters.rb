# frozen_string_literal: true

module EarnestFold
  module Documents
    # The letters of a paper: names and notes come in any script. What the application's own fonts don't have another
    # font has; what none has stands as a square, and is named.
    class Letters
      FOLDER = File.join(EarnestFold.root, "assets/fonts")
      FONTS = {
        "Sans" => {normal: "source-sans-3-regular.ttf", bold: "source-sans-3-bold.ttf"},
        "Slab" => {normal: "bitter-semibold.ttf"},
        "Letters" => {normal: "dejavu-sans.ttf", bold: "dejavu-sans-bold.ttf"}
      }.transform_values { |styles| styles.transform_values { |name| File.join(FOLDER, name).freeze }.freeze }.freeze
      OWN, OTHER = %w[Sans Slab].freeze, %w[Sans Letters].freeze
      # Stands for a letter that no font has.
      SQUARE = "□"
      # What every font has, and what only joins other signs and isn't printed.
      PLAIN, JOINING = /[^\u0020-\u007e\n]/, /[\u200b-\u200f\u2060\ufe00-\ufe0f\ufeff]/
      # So many are named.
      MOST_NAMED = 12

      # @param pdf [Prawn::Document] is given the fonts
      def initialize(pdf)
        @pdf, @missing = pdf, []
        pdf.font_families.update(FONTS)
        pdf.font "Sans", size: 11
        @has = Hash.new { |known, (family, letter)| known[[family, letter]] = font(family).glyph_present?(letter) }
      end

      # @param text [Object]
      # @return [String] as it is set; the other font is looked through only from the first letter on that needs it
      def printable(text)
        each_rare(text) do |letter|
          next letter if has?(OWN, letter)
          next missed(letter) unless OTHER.any? { |family| @has[[family, letter]] }

          @pdf.fallback_fonts(OTHER)
          letter
        end
      end

      # @param text [Object] what is put at a place on a drawing, in one font
      # @return [String]
      def drawable(text) = each_rare(text) { |letter| @has[["Sans", letter]] ? letter : missed(letter) }

      # Whoever sets letters of their own meanwhile leaves none behind: every text after would be looked through for
      # them, letter by letter.
      # @yield sets them
      def kept
        others = @pdf.fallback_fonts
        yield
      ensure
        @pdf.fallback_fonts(others)
      end

      # @return [String, nil] which letters couldn't be printed; nil where all were
      def note
        return if @missing.empty?

        named = @missing.uniq.first(MOST_NAMED).map { |letter| format("U+%04X", letter.ord) }
        named << "…" if @missing.uniq.size > MOST_NAMED
        Words.say("papers.letters_missing", square: SQUARE, letters: named.join(", "))
      end

      private

      def each_rare(text, &block)
        text = text.to_s
        return text if text.ascii_only?

        text.unicode_normalize(:nfc).gsub(JOINING, "").gsub(PLAIN, &block)
      end

      def has?(families, letter) = families.all? { |family| @has[[family, letter]] }

      def missed(letter)
        @missing << letter
        SQUARE
      end

      def font(family) = @pdf.find_font(FONTS.fetch(family)[:normal])
    end
  end
end
