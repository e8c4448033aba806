# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # How much wider the cloth is than the curtain hangs. People write it three ways: a ratio (2.2), a percentage in all
    # (220) or a percentage added (75 = 1.75, the habit of halls and stages). All three are read; the ratio is kept.
    Fullness = Value.define(:ratio, :written_as) do
      # @param ratio [Rational]
      #
      #   Fullness.ratio(2.5r).ratio # => (5/2)
      def self.ratio(ratio) = new(ratio: ratio, written_as: :ratio)

      # @param percent [Rational] in all: 225 is 2.25
      #
      #   Fullness.percent_total(225r).ratio # => (9/4)
      def self.percent_total(percent) = new(ratio: percent/100r, written_as: :percent_total)

      # @param percent [Rational] added: 75 is 1.75
      #
      #   Fullness.percent_added(75r).ratio # => (7/4)
      def self.percent_added(percent) = new(ratio: 1 + percent/100r, written_as: :percent_added)

      # @return [Boolean] whether it was written as a percentage, which makers mean in two ways
      #
      #   Fullness.ratio(2).percentage? # => false
      def percentage? = written_as != :ratio
    end
  end
end
