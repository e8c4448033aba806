# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # What a plan can cost at all: a whole number of steps of the scale, and 1 for every piece that is used. Where
        # every cut ends on the same few lines of the pattern (all placed at the hem, say), each piece is used up to
        # one of those lines, so the steps are larger. A bound is raised to the next such number.
        # @api private
        class Attainable
          # With more pieces of which it is open whether they are used, the ways to choose are too many.
          MOST_OPEN = 8

          # @return [Integer] by how many steps of the scale the end of a last cut can differ on one piece
          attr_reader :step

          # @param unit [Integer] what one step of the scale costs
          # @param step [Integer] see {#step}
          # @param ends [Array<Integer>] by piece, one such end
          def initialize(unit, step, ends)
            @unit, @step, @ends = unit, step, ends
          end

          # @param value [Integer] of what is wanted, at some prices
          # @param gains [Array<Integer>] by piece, what it costs less what it yields at these prices
          # @param windows [Array<Bounds>] by piece
          # @return [Integer] no plan within the windows costs less
          def least(value, gains, windows)
            used = windows.each_index.select { |piece| windows[piece].used? && !windows[piece].alone? }
            open = windows.each_index.select { |piece| windows[piece].used? && windows[piece].alone? }
            value += gains.values_at(*used).sum
            return roughly(value, gains.values_at(*open), used.size) if open.size > MOST_OPEN

            choices(open, gains, [[value, used.size, @ends.values_at(*used).sum]])
              .map { |cost, pieces, ended| raised(cost, pieces, ended) }
              .min
          end

          # @param cost [Integer]
          # @param by [Integer] of cloth
          # @return [Integer] the most that is still the same length of cloth, or so much more
          def further(cost, by = 0) = (length(cost) + by) * @unit + @unit - 1

          # @param cost [Integer]
          # @return [Integer] of cloth
          def length(cost) = cost / @unit

          private

          # Every choice of pieces that are used beside those that have to be.
          def choices(open, gains, all)
            open.reduce(all) do |those, piece|
              those + those.map { |cost, pieces, ended| [cost + gains[piece], pieces + 1, ended + @ends[piece]] }
            end
          end

          def raised(cost, pieces, ended)
            length = -((pieces - cost) / @unit)
            (length + (ended - length) % @step) * @unit + pieces
          end

          def roughly(value, gains, used)
            cost = value + gains.sum { |gain| [gain, 0].min }
            -((used + gains.size - cost) / @unit) * @unit + used
          end
        end
      end
    end
  end
end
