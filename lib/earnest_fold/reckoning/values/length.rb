# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A length, exact: a Rational number of millimetres. Arithmetic that makes no sense raises TypeError, Floats are
    # refused, and rounding happens only in the methods named for it.
    #
    #   Length.cm(236) + Length.mm(5)  # => 2365 mm
    #   Length.mm(10) / Length.mm(4)   # => (5/2)
    class Length
      include Comparable

      # @return [Rational] millimetres
      attr_reader :mm

      # @param number [Integer, Rational] millimetres
      # @raise [TypeError] for a Float or anything that is no exact number
      #
      #   Length.mm(1800) # => 1800 mm
      def self.mm(number) = new(exact(number))

      # @param number [Integer, Rational] centimetres
      #
      #   Length.cm(180) # => 1800 mm
      def self.cm(number) = new(exact(number) * 10)

      # @param number [Integer, Rational] inches, of 127/5 mm
      #
      #   Length.inches(1) # => 127/5 mm
      def self.inches(number) = new(exact(number) * 127 / 5)

      # @api private
      #
      #   Length.exact(2.5r) # => (5/2)
      def self.exact(number)
        case number
        when Rational then number
        when Integer then Rational(number, 1)
        else raise TypeError, "a length needs an Integer or a Rational, not #{number.class}"
        end
      end

      # @api private Takes a Rational on trust; use {.mm}.
      def initialize(millimetres)
        @mm = millimetres
        freeze
      end

      # @param _unit [Unit]
      # @return [Length] as a person with that tape says it: a figure is itself ({Loosely})
      #
      #   Length.cm(180).on(Units::CM) # => 1800 mm
      def on(_unit) = self

      # @param other [Length]
      # @return [Length]
      # @raise [TypeError] for what is no length
      #
      #   Length.cm(180) + Length.mm(5) # => 1805 mm
      def +(other) = Length.new(@mm + Length.millimetres(other))

      # @param other [Length]
      # @return [Length]
      # @raise [TypeError] for what is no length
      #
      #   Length.cm(180) - Length.cm(8) # => 1720 mm
      def -(other) = Length.new(@mm - Length.millimetres(other))

      # @return [Length]
      #
      #   -Length.cm(1) # => -10 mm
      def -@ = Length.new(-@mm)

      # @param number [Integer, Rational]
      #
      #   Length.cm(180) * 2.5r # => 4500 mm
      def *(other) = Length.new(@mm * Length.exact(other))

      # @param other [Length, Integer, Rational] a Length gives a ratio, a number a Length
      # @return [Rational, Length]
      #
      #   [Length.cm(180) / 4, Length.cm(180) / Length.cm(120)] # => [450 mm, (3/2)]
      def /(other) = other.is_a?(Length) ? @mm / other.mm : Length.new(@mm / Length.exact(other))

      # @return [Length] what is left over whole steps; never negative for a positive step
      #
      #   Length.cm(180) % Length.cm(32) # => 200 mm
      def %(other) = Length.new(@mm % Length.millimetres(other))

      # @return [Integer, nil] nil for strangers
      #
      #   Length.cm(1) <=> Length.inches(1) # => -1
      def <=>(other) = other.is_a?(Length) ? @mm <=> other.mm : nil

      def eql?(other) = other.is_a?(Length) && @mm == other.mm
      alias_method :==, :eql?

      def hash = @mm.hash

      # @return [Boolean]
      #
      #   Length.mm(0).zero? # => true
      def zero? = @mm.zero?

      # @return [Boolean]
      #
      #   Length.mm(0).positive? # => false
      def positive? = @mm.positive?

      # @return [Boolean]
      #
      #   Length.cm(-1).negative? # => true
      def negative? = @mm.negative?

      # @return [Length] without its sign
      #
      #   Length.cm(-1).abs # => 10 mm
      def abs = Length.new(@mm.abs)

      # @param step [Length]
      # @return [Length] the least whole number of steps that covers this length
      #
      #   Length.mm(2365).ceil_to(Length.mm(320)) # => 2560 mm
      def ceil_to(step) = Length.new((@mm / step.mm).ceil * step.mm)

      def inspect = "#{(@mm.denominator == 1) ? @mm.numerator : @mm} mm"
      alias_method :to_s, :inspect

      # @api private
      #
      #   Length.millimetres(Length.cm(1)) # => (10/1)
      def self.millimetres(other)
        raise TypeError, "a Length goes with a Length, not with #{other.class}" unless other.is_a?(Length)

        other.mm
      end

      ZERO = new(0r)
    end
  end
end
