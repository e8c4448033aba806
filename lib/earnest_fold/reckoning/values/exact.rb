# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A number, read exactly from what a parser or a form gives; a Float is a programmer's mistake.
    module Exact
      MOST_DIGITS = 40

      module_function

      # @return [Rational, nil] nil for what is no number, or one of absurd size
      #
      #   Exact.read("2,5") # => (5/2)
      def read(raw)
        case raw
        when Integer then (raw.bit_length < 200) ? Rational(raw) : nil
        when Rational then raw
        when String then from_text(raw)
        when Float then raise TypeError, "a Float can't be exact"
        else from_decimal(raw)
        end
      end

      # @param number [Integer, Rational, String, BigDecimal]
      # @return [String] the decimal as it was written, without an exponent
      #
      #   Exact.written(Rational(2)) # => "2"
      def written(number)
        return number.to_s("F").delete_suffix(".0") if number.respond_to?(:exponent)

        (number.is_a?(Rational) && number.denominator == 1) ? number.numerator.to_s : number.to_s
      end

      def from_text(text)
        plain = text.strip.tr(",", ".").tr("\u2212", "-")
        Rational(plain) if plain.size <= MOST_DIGITS && plain.match?(/\A-?(\d+(\.\d+)?|\.\d+)\z/)
      end
      private_class_method :from_text

      # BigDecimal, without naming it: the core stands on the standard library's own classes.
      #
      #   Exact.from_decimal(BigDecimal("2.50")) # => (5/2)
      def from_decimal(raw)
        return unless raw.respond_to?(:exponent) && raw.finite?

        raw.to_r if raw.exponent.abs <= MOST_DIGITS && raw.to_s.size <= 2 * MOST_DIGITS
      end
    end
  end
end
