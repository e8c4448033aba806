# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Numbers that several rules share.
    module Counting
      PI = 314159265358979/100000000000000r

      module_function

      # @param number [Rational]
      # @return [Integer] the even number nearest
      #
      #   Counting.nearest_even(13.2r) # => 14
      def nearest_even(number) = 2 * (number / 2 + 1/2r).floor

      # @param number [Rational]
      # @return [Integer] the whole number nearest, a half up
      #
      #   Counting.nearest(2.5r) # => 3
      def nearest(number) = (number + 1/2r).floor

      # @param count [Integer] two or more for a spacing
      # @return [Array<Length>] places evenly from one end of a length to the other, running, never summed from gaps
      #
      #   Counting.evenly(3, Length.cm(50)) # => [0 mm, 250 mm, 500 mm]
      def evenly(count, over) =
        (count < 2) ? [Length::ZERO].first(count) : Array.new(count) { |index| over * index / (count - 1) }
    end
  end
end
