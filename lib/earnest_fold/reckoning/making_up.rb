# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # The order of making: the steps of a treatment with their figures, each after what it needs. A kind of step is
    # one file in making_up/steps/, a module with `CODE`, `RANK` (where it stands when nothing else decides), `NEEDS`
    # (the steps that have to be done before it, where there are such), `TOOLS`, and `call(work)`, which gives its
    # {Draft}s: one for each curtain, or one for all, none where it doesn't apply. Where schools differ it answers
    # `rank(house)` and `needs(house)` itself.
    module MakingUp
      # A step as its kind gives it: for which curtain (nil: all of them), its figures with the main one first, what
      # is measured there (`check`), and how much of which of the house's {StandardTimes} it takes (`times`: metres,
      # pieces or once).
      Draft = Value.define(:curtain, :figures, :check, :times)
      # What is measured at a step, and how far it may be off; at which places of the curtain, where at several.
      Measured = Value.define(:name, :planned, :tolerance, :places) do
        # @param length [Length] as measured
        # @return [Boolean]
        def fits?(length) = (length - planned).abs <= tolerance
      end
      # A step in its place in the order, with the minutes it usually takes and the bench it takes them on.
      Step = Value.define(:number, :code, :curtain, :figures, :tools, :check, :times, :minutes, :bench) do
        # @return [Length, Integer, nil] the figure that matters here
        def main = figures.values.first

        # What is said of a step is said under this: it stays the same step wherever it stands in the order.
        # @return [Array(String, String)] its code, and its curtain ("" for all of them)
        def name = [code, curtain.to_s]
      end

      # Where a curtain's length is measured.
      EDGES = %w[leading return].freeze

      Kinds = Registry.new(:call)
      # The steps of alterations, in making_up/altering/: the same contract, made from an {AlteringCase}.
      AlteringKinds = Registry.new(:call)

      # What a kind of step answers where it says nothing else.
      module Kind
        def rank(_house) = self::RANK

        def needs(_house) = self::NEEDS

        # @return [Symbol] the bench that it takes: :table, :press, :machine or :hands
        def bench(house)
          return :table if self::TOOLS.include?(:table)
          if self::TOOLS.include?(:machine) && !(self::TOOLS.include?(:needle) && house.stitching == "hand")
            return :machine
          end

          self::TOOLS.include?(:iron) ? :press : :hands
        end

        private

        # @return [Draft]
        def draft(figures, times:, curtain: nil, check: nil) =
          Draft.new(curtain: curtain, figures: figures.compact, check: check, times: times)

        def check(name, planned, tolerance, places: []) =
          Measured.new(name: name, planned: planned, tolerance: tolerance, places: places)

        # A length that is to be right at both edges of a curtain.
        def at_both_edges(name, planned, tolerance) = check(name, planned, tolerance, places: EDGES)

        # @return [Rational]
        def metres(length) = length.mm / 1000
      end
    end
  end
end
