# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # Where every cut ends on the same few lines of the pattern (all placed at the hem, say), what a plan can use is no longer any
      # number: on each piece the last cut ends on one of those lines. So the least that is possible is the next such number at or
      # above what the prices say.
      class Attainable
        # With more pieces the ways to choose those that are used are too many.
        MOST_PIECES = 10

        # @param places [Array<Places>] of the pieces
        # @param kinds [Array<PieceFill::Kind>]
        # @param fills [Array<PieceFill>]
        def initialize(places, kinds, repeat, pattern_starts)
          @places, @starts = places, pattern_starts
          ends = kinds.map { |kind| kind.start + kind.length }
          @first, @step = ends.first, ends.map { |ended| ended - ends.first }.reduce(repeat, :gcd)
        end

        # @return [Boolean] whether it says anything
        def lines? = @step > 1 && @places.size <= MOST_PIECES

        # @param priced [Prices]
        # @param value [Integer] of all cuts at the prices
        # @return [Integer] no plan uses less
        def least(priced, value)
          return priced.bound unless lines?

          gains = @places.map { |one| one.worth(priced.prices).last.first }
          choices(gains).map { |used, gain| from(value + gain, used) }.min || priced.bound
        end

        private

        # Every choice of pieces that are used, with what they gain together.
        def choices(gains)
          gains.each_index.reduce([[[], 0]]) { |all, piece| all + (gains[piece] ? all.map { |used, gain| [used + [piece], gain + gains[piece]] } : []) }.drop(1)
        end

        # @return [Integer] the least at or above the bound that these pieces' ends can make together
        def from(bound, used) = bound + (used.sum { |piece| @starts[piece] + @first } - bound) % @step
      end
    end
  end
end
