# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # One way to cut a piece from its beginning to its last cut: at which of its places, how far that goes, what
        # it costs, and what it yields (row and count, see {Wanted}). As a window it leaves nothing else open.
        # @api private
        Filling = Struct.new(:piece, :places, :spent, :cost, :yields) do
          # @return [Boolean] whether the piece may be left alone
          def alone? = false

          # @return [Boolean] whether anything may be cut of it
          def used? = true

          # @param other [Filling]
          def holds?(other) = equal?(other)

          # @param prices [Array<Integer>] by row
          # @return [Integer] what it costs less what it yields at these prices
          def gain(prices) = cost - yields.sum { |row, count| prices[row] * count }
        end

        # How far a piece may be cut, from the least to the most that it may cost; a least of {LEFT_ALONE} says that
        # it may be left alone as well, and a most of the same that it has to be.
        # @api private
        Bounds = Struct.new(:least, :most) do
          # @return [Boolean]
          def alone? = least.negative?

          # @return [Boolean]
          def used? = !most.negative?

          # @param filling [Filling]
          def holds?(filling) = filling.spent.between?(least, most)

          # @return [Array<Bounds>] up to there and beyond
          def split(spent) = [Bounds.new(least, spent), Bounds.new(spent + 1, most)]

          # @return [Integer] how much it leaves open
          def width = most - least
        end

        LEFT_ALONE = -1
      end
    end
  end
end
