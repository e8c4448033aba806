# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # One line of the working: `name` says which figure (its words stand in the locale file, filled from `data`),
    # `expression` is the sum with its real figures (Lengths, numbers and signs), `value` what it gave.
    Line = Value.define(:name, :data, :expression, :value) do
      # @param name [Symbol]
      # @param value [Length, Rational, Integer]
      # @param expression [Array]
      def self.of(name, value, expression = [], **data)
        new(name: name, data: data, expression: expression.freeze, value: value)
      end
    end

    # A mark along a heading, from the leading edge: where a pleat begins, a hook sits, a seam runs. `along` is :flat
    # (on the flat curtain) or :hung (on the heading as it hangs); `to` is nil for a point.
    Mark = Value.define(:kind, :along, :at, :to)

    # Numbers that several rules share.
    module Counting
      PI = 314159265358979/100000000000000r

      module_function

      # @param number [Rational]
      # @return [Integer] the even number nearest
      def nearest_even(number) = 2 * (number / 2 + 1/2r).floor

      # @param number [Rational]
      # @return [Integer] the whole number nearest, a half up
      def nearest(number) = (number + 1/2r).floor

      # @param count [Integer] two or more for a spacing
      # @return [Array<Length>] places evenly from one end of a length to the other, running, never summed from gaps
      def evenly(count, over) =
        (count < 2) ? [Length::ZERO].first(count) : Array.new(count) { |index| over * index / (count - 1) }
    end
  end
end
