# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A unit that a tape measure carries: its name, its size in millimetres, and how finely figures are shown in it:
    # `decimals` for metric, `fraction` (the denominator) for inches. See "Both tapes" in the design.
    class Unit < Value.define(:name, :size, :decimals, :fraction)
      # @return [Boolean]
      #
      #   [Units::IN, Units::CM].map(&:inches?) # => [true, false]
      def inches? = !fraction.nil?

      # @return [Rational] the smallest step that is shown, in millimetres
      attr_reader :step

      def initialize(name:, size:, decimals:, fraction:)
        @step = size / (fraction || (10**decimals))
        super
      end
    end

    # The units a job can be kept in.
    module Units
      MM = Unit.new(name: "mm", size: 1r, decimals: 0, fraction: nil)
      CM = Unit.new(name: "cm", size: 10r, decimals: 1, fraction: nil)
      IN = Unit.new(name: "in", size: 127/5r, decimals: nil, fraction: 16)
      IN_EIGHTHS = IN.with(fraction: 8)
      ALL = {"mm" => MM, "cm" => CM, "in" => IN}.freeze

      # @param name [String] "mm", "cm" or "in"
      # @return [Unit]
      # @raise [KeyError] for any other name
      #
      #   Units.fetch("in").step # => (127/80)
      def self.fetch(name) = ALL.fetch(name)
    end
  end
end
