# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # The simplex method on whole numbers: of some columns so much of each that together, row by row, they make up
        # what is wanted, at the least cost. Every step divides without remainder (all numbers stand over one common
        # denominator), so nothing is rounded and nothing drifts. Columns can be added between one {#minimise} and the
        # next.
        # @api private
        class Simplex
          # What is wanted is taken in so many parts and each row a few parts more, so that no two rows run out at
          # once: that keeps the method from going in circles.
          PARTS = 1 << 20
          # How many columns are followed up before all are looked at again.
          PROMISING = 8
          # Where the amounts are told: less than this is one of those few parts.
          LEAST = Rational(1, 1000)

          # @return [Integer] how many steps were taken
          attr_reader :steps

          # @param wanted [Array<Integer>] by row, none below 0
          # @param costs [Array<Integer>] by row: what making up that row from nowhere costs; these columns come
          #   first, and once one of them is given up it doesn't come back
          def initialize(wanted, costs)
            @size = wanted.size
            @inverse = Array.new(@size) { |row| Array.new(@size) { |other| (row == other) ? 1 : 0 } }
            @amounts = wanted.each_with_index.map { |count, row| count * PARTS + 1 + row * 37 % 61 }
            @over, @steps = 1, 0
            @costs, @columns = costs.dup, Array.new(@size) { |row| [[row, 1]] }
            @basis, @open = (0...@size).to_a, []
          end

          # @param cost [Integer]
          # @param entries [Array<Array(Integer, Integer)>] row and how much of it
          # @return [Integer] the column's number
          def add(cost, entries)
            @costs << cost
            @columns << entries
            @open << @columns.size - 1
            @columns.size - 1
          end

          # @param columns [Array<Integer>] that aren't wanted any more
          # @param cost [Integer] of each from now on, so that they are given up
          def give_up(columns, cost)
            columns.each { |column| @costs[column] = cost }
            @open -= columns
          end

          # Goes on until no column would make it cheaper. All columns are looked at only now and then, the promising
          # ones at every step.
          def minimise
            @values = values
            until (promising = cheapening(PROMISING)).empty?
              while (column, saved = best_of(promising))
                exchange(column, saved)
              end
            end
          end

          # @return [Array<Integer>] by row, what one more of it would cost, rounded down
          def prices = @values.map { |value| value / @over }

          # @return [Array<Array(Integer, Rational)>] each column that is taken, and how much of it
          def taken =
            @basis
              .zip(@amounts)
              .map { |column, amount| [column, Rational(amount, @over * PARTS)] }
              .select { |_, amount| amount > LEAST }

          private

          def initialize_copy(other)
            super
            @inverse, @amounts, @basis = @inverse.map(&:dup), @amounts.dup, @basis.dup
            @costs, @columns, @open = @costs.dup, @columns.dup, @open.dup
          end

          # The prices, each over @over.
          def values
            sums = Array.new(@size, 0)
            @basis.each_with_index do |column, row|
              cost = @costs[column]
              @inverse[row].each_with_index { |factor, index| sums[index] += cost * factor } unless cost.zero?
            end
            sums
          end

          # By how much one of a column makes it dearer, over @over.
          def dearer(column)
            sum = @costs[column] * @over
            @columns[column].each { |row, factor| sum -= @values[row] * factor }
            sum
          end

          def cheapening(most)
            @open.filter_map { |column| (cost = dearer(column)).negative? && [cost, column] }.min(most).map(&:last)
          end

          # @return [Array(Integer, Integer), nil] the column that makes it cheapest, and by how much
          def best_of(columns)
            saved, column = columns.map { |one| [dearer(one), one] }.min
            [column, saved] if saved.negative?
          end

          def exchange(column, saved)
            @steps += 1
            change = @inverse.map { |line| @columns[column].sum { |row, factor| line[row] * factor } }
            leaving = leaving(change)
            pivot = change[leaving]
            combine(@values, pivot, -saved, @inverse[leaving])
            @size.times { |row| combine_row(row, pivot, change[row], leaving) unless row == leaving }
            @over = pivot
            @basis[leaving] = column
          end

          # The row that is used up first as the new column comes in.
          def leaving(change)
            change
              .each_index
              .select { |row| change[row].positive? }
              .reduce { |best, row| (@amounts[row] * change[best] < @amounts[best] * change[row]) ? row : best }
          end

          def combine_row(row, pivot, factor, leaving)
            return if factor.zero? && pivot == @over

            combine(@inverse[row], pivot, factor, @inverse[leaving])
            @amounts[row] = (pivot * @amounts[row] - factor * @amounts[leaving]) / @over
          end

          # The step in which everything divides without remainder.
          def combine(line, pivot, factor, other)
            index = 0
            while index < @size
              line[index] = (pivot * line[index] - factor * other[index]) / @over
              index += 1
            end
          end
        end
      end
    end
  end
end
