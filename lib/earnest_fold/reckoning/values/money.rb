# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # An amount of money: whole hundredths of the workroom's currency, never a Float. What comes from a sum that isn't
    # whole is rounded once, a half away from zero, by {of}.
    #
    #   (Money.of(41475/1000r) + Money.of(1)).to_s # => "42.48"
    class Money
      include Comparable

      # @return [Integer]
      attr_reader :hundredths

      # @param amount [Integer, Rational]
      # @return [Money] the nearest hundredth
      # @raise [TypeError] for a Float or anything that is no exact number
      #
      #   Money.of(41475/1000r).to_s # => "41.48"
      def self.of(amount)
        unless amount.is_a?(Integer) || amount.is_a?(Rational)
          raise TypeError, "money needs an Integer or a Rational, not #{amount.class}"
        end

        new((amount * 100).round(half: :up))
      end

      # @param amounts [Enumerable<Money>]
      # @return [Money]
      #
      #   Money.sum([Money.of(1), Money.of(2)]).to_s # => "3.00"
      def self.sum(amounts) = amounts.reduce(ZERO, :+)

      # @api private
      def initialize(hundredths)
        @hundredths = hundredths
        freeze
      end

      # @param other [Money]
      # @return [Money]
      # @raise [TypeError] for what is no money
      #
      #   Money.read("18.50") + Money.read("1.25") # => 19.75
      def +(other) = Money.new(hundredths + Money.hundredths_of(other))

      # @param other [Money]
      # @return [Money]
      # @raise [TypeError] for what is no money
      #
      #   Money.read("18.50") - Money.read("20") # => -1.50
      def -(other) = Money.new(hundredths - Money.hundredths_of(other))

      # @return [Money]
      #
      #   -Money.read("18.50") # => -18.50
      def -@ = Money.new(-hundredths)

      # @param number [Integer, Rational]
      # @return [Money] rounded once
      #
      #   Money.read("18.50") * 5.12r # => 94.72
      def *(other) = Money.of(to_r * other)

      # @return [Rational]
      #
      #   Money.of(41475/1000r).to_r # => (1037/25)
      def to_r = Rational(hundredths, 100)

      # @param step [Money] over zero
      # @param way [String] "nearest" (a half goes up), "up" or "down"
      # @return [Money] whole steps
      #
      #   Money.read("18.52").in_steps(Money.read("0.50"), :up) # => 18.50
      def in_steps(step, way)
        steps = Rational(hundredths, step.hundredths)
        whole = {"up" => steps.ceil, "down" => steps.floor}.fetch(way) { steps.round(half: :up) }
        Money.new(whole * step.hundredths)
      end

      # @param weights [Array<Rational, Integer>] none under zero, not all zero
      # @return [Array<Money>] parts by weight that add up to the whole: what rounding leaves goes to the first parts
      #
      #   Money.read("10").share([1, 1, 1]) # => [3.34, 3.33, 3.33]
      def share(weights)
        all = weights.sum
        parts = weights.map { |weight| (hundredths * Rational(weight) / all).floor }
        left = hundredths - parts.sum
        parts.each_with_index.map { |part, index| Money.new((index < left) ? part + 1 : part) }
      end

      # @return [Integer, nil] nil for strangers
      #
      #   Money.read("18.50") <=> Money.read("18.5") # => 0
      def <=>(other) = other.is_a?(Money) ? hundredths <=> other.hundredths : nil

      def eql?(other) = other.is_a?(Money) && hundredths == other.hundredths
      alias_method :==, :eql?

      def hash = [Money, hundredths].hash

      # @return [Boolean]
      #
      #   Money.read("0").zero? # => true
      def zero? = hundredths.zero?

      # @return [Boolean]
      #
      #   Money.read("-1").negative? # => true
      def negative? = hundredths.negative?

      # @return [String] as it is written and kept: "-41.50"
      #
      #   Money.of(41475/1000r).to_s # => "41.48"
      def to_s = format("%s%d.%02d", negative? ? "-" : "", *hundredths.abs.divmod(100))
      alias_method :inspect, :to_s

      # @param text [String] as {to_s} writes it
      # @return [Money]
      #
      #   Money.read("18.50") # => 18.50
      def self.read(text) = of(Rational(text))

      # @api private
      #
      #   Money.hundredths_of(Money.read("18.50")) # => 1850
      def self.hundredths_of(other)
        raise TypeError, "Money goes with Money, not with #{other.class}" unless other.is_a?(Money)

        other.hundredths
      end

      ZERO = new(0)
    end
  end
end
