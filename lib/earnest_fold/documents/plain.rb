# frozen_string_literal: true

module EarnestFold
  module Documents
    # Core values as plain ones for JSON. The only place where an exact figure becomes a decimal, rounded once.
    module Plain
      R = Reckoning

      module_function

      # @param value [Object] Lengths anywhere inside become millimetres
      # @return [Object] plain values
      #
      #   Documents::Plain.value({drop: Length.cm(214)}) # => {"drop"=>2140}
      def value(value)
        case value
        when R::Length then decimal(value.mm, 3)
        when Rational then ratio(value)
        when R::Value then value(value.to_h)
        when Hash then value.to_h { |key, inner| [key.to_s, value(inner)] }
        when Array then value.map { |inner| value(inner) }
        else value
        end
      end

      # @param number [Rational]
      # @return [Integer, Float] the decimal nearest, an Integer where it is whole
      #
      #   Documents::Plain.decimal(263/100r, 3) # => 2.63
      def decimal(number, places)
        rounded = Rational(number).round(places, half: :up)
        (rounded.denominator == 1) ? rounded.numerator : rounded.to_f
      end

      # @return [Integer, Float] rounded to 0.0001
      #
      #   Documents::Plain.ratio(7/3r) # => 2.3333
      def ratio(number) = decimal(number, 4)

      # @return [Integer, Float, nil] kilograms, rounded to 0.001
      #
      #   Documents::Plain.mass(3.25r) # => 3.25
      def mass(kilograms) = kilograms && decimal(kilograms, 3)

      # @return [Integer, Float] whole, or ending in a half
      #
      #   Documents::Plain.widths(1.5r) # => 1.5
      def widths(count) = decimal(count, 1)
    end
  end
end
