# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # The order of making: the steps of a treatment with their figures, each after what it needs. A kind of step is one file in
    # making_up/steps/, a module with `CODE`, `RANK` (where it stands when nothing else decides), `NEEDS` (the steps that have to be
    # done before it, where there are such), `TOOLS`, and `call(work)`, which gives its {Draft}s: one for each curtain, or one for
    # all, none where it doesn't apply. Where schools differ it answers `rank(house)` and `needs(house)` itself.
    module MakingUp
      # A step as its kind gives it: for which curtain (nil: all of them), its figures with the main one first, what is measured
      # there (`check`), and the minutes it usually takes.
      Draft = Value.define(:curtain, :figures, :check, :minutes)
      # What is measured at a step, and how far it may be off.
      Measured = Value.define(:name, :planned, :tolerance) do
        # @param length [Length] as measured
        # @return [Boolean]
        def fits?(length) = (length - planned).abs <= tolerance
      end
      # A step in its place in the order.
      Step = Value.define(:number, :code, :curtain, :figures, :tools, :check, :minutes) do
        # @return [Length, Integer, nil] the figure that matters here
        def main = figures.values.first
      end

      Kinds = Registry.new(:call)

      # What a kind of step answers where it says nothing else.
      module Kind
        def rank(_house) = self::RANK

        def needs(_house) = self::NEEDS

        private

        # @return [Draft]
        def draft(figures, minutes:, curtain: nil, check: nil) = Draft.new(curtain: curtain, figures: figures.compact, check: check, minutes: minutes)

        def check(name, planned, tolerance) = Measured.new(name: name, planned: planned, tolerance: tolerance)

        # @param each [Numeric] minutes for a metre
        # @return [Rational]
        def by_metre(length, each) = length.mm / 1000 * each
      end
    end
  end
end
