# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Reads the lengths that people write: "93 1/2", "93½", "7' 9½\"", "7 ft 9 1/2 in", "2 1/2 yd", "2,36 m",
    # "2 m 36", "236 cm", "-1 1/4 in". Without a unit of its own a length is in the unit given. A comma is a decimal
    # sign.
    module LengthReader
      LONGEST_TEXT = 40
      FRACTIONS = {
        "½" => "1/2",
        "¼" => "1/4",
        "¾" => "3/4",
        "⅛" => "1/8",
        "⅜" => "3/8",
        "⅝" => "5/8",
        "⅞" => "7/8",
        "⅓" => "1/3",
        "⅔" => "2/3",
        "⅕" => "1/5",
        "⅖" => "2/5",
        "⅗" => "3/5",
        "⅘" => "4/5",
        "⅙" => "1/6",
        "⅚" => "5/6"
      }.freeze
      SIZES = {"mm" => 1r, "cm" => 10r, "m" => 1000r, "in" => 127/5r, "ft" => 1524/5r, "yd" => 4572/5r}.freeze
      SPELLINGS = {"inch" => "in", "inches" => "in", '"' => "in", "foot" => "ft", "feet" => "ft", "'" => "ft",
                   "yds" => "yd", "yard" => "yd", "yards" => "yd",
                   "metre" => "m", "metres" => "m", "meter" => "m", "meters" => "m"}.freeze
      # As it is kept: nothing about it is to be tidied.
      TIDY = /\A-?\d+(?:\.\d+)?(?: [a-z]+)?\z/
      PLAIN = /\A\d+(?:\.\d+)?\z/
      ANY_FRACTION = Regexp.union(FRACTIONS.keys)
      NUMBER = %r{\d+/\d+|\d+[ -]\s*\d+/\d+|\d+(?:[.,]\d+)?|[.,]\d+}
      NAMES = Regexp.union((SIZES.keys + SPELLINGS.keys).sort_by { |name| -name.size })
      SIMPLE = /\A(?<number>#{NUMBER})\s*(?<unit>#{NAMES})?\.?\z/
      # Only pairs that people do write together: feet and inches, metres and centimetres. Without their name
      # centimetres are two figures, as they are said: "2 m 36", "1 m 05".
      FEET = /\A(?<feet>\d+(?:[.,]\d+)?)\s*(?:ft|foot|feet|')\.?\s*(?<inches>#{NUMBER})\s*(?:in|inch|inches|")?\.?\z/
      METRES = /\A(?<metres>\d+)\s*m\s*(?:(?<centimetres>\d+(?:[.,]\d+)?)\s*cm|(?<centimetres>\d\d(?:[.,]\d+)?))\z/

      module_function

      # @param text [String]
      # @param unit [Unit] of a length that names none
      # @return [Length, nil] nil where the text can't be read as a length
      #
      #   LengthReader.read("7' 9 1/2\"", Units::CM) # => 23749/10 mm
      def read(text, unit)
        return if text.size > LONGEST_TEXT || !text.valid_encoding?

        plain = tidy(text)
        size = magnitude(plain.start_with?("-", "+") ? plain[1..].strip : plain, unit)
        size && Length.new(plain.start_with?("-") ? -size : size)
      end

      # @return [Boolean] whether the text names a unit of its own
      #
      #   LengthReader.unit_named?("93 in") # => true
      def unit_named?(text) = tidy(text).match?(/[a-z"']/)

      # @param text [String]
      # @return [String] the same in the signs, spaces and small letters that it is read by
      #
      #   LengthReader.tidy("7′ 9½″") # => "7' 9 1/2\""
      def tidy(text)
        return text if TIDY.match?(text)

        plain = text.tr("\u00a0\u2009\u202f\u2212\u2013\u2044\u2032\u2033\u2019\u201d", "   \\-\\-/'\"'\"")
        plain = plain.gsub("''", '"').gsub(ANY_FRACTION) { |sign| " #{FRACTIONS[sign]}" }
        plain.strip.squeeze(" ").downcase.sub(/\A([-+]) /, '\1')
      end

      def magnitude(plain, unit)
        if (match = SIMPLE.match(plain))
          named = match[:unit]
          scale(match[:number], named ? SIZES[SPELLINGS.fetch(named, named)] : unit.size)
        elsif (match = FEET.match(plain))
          sum(scale(match[:feet], SIZES["ft"]), scale(match[:inches], SIZES["in"]))
        elsif (match = METRES.match(plain))
          sum(scale(match[:metres], SIZES["m"]), scale(match[:centimetres], SIZES["cm"]))
        end
      end
      private_class_method :magnitude

      def scale(text, size) = (value = number(text)) && value * size
      private_class_method :scale

      def sum(one, other) = one && other && one + other
      private_class_method :sum

      # @return [Rational, nil] nil for a fraction over nothing
      #
      #   LengthReader.number("70 7/8") # => (567/8)
      def number(text)
        return Rational(text) if PLAIN.match?(text)

        whole, fraction = text.include?("/") ? text.split(/[ -]\s*(?=\d+\/)/) : [text, nil]
        whole, fraction = "0", whole if fraction.nil? && text.include?("/")
        return Rational(whole.tr(",", ".").sub(/\A\./, "0.")) unless fraction

        over, under = fraction.split("/").map { |part| Integer(part, 10) }
        under.zero? ? nil : Rational(whole) + Rational(over, under)
      end
    end
  end
end
