# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # What is to be cut, row by row: a row for each kind of cut in each batch. Where it isn't settled from which
        # batch a treatment is cut, or whether it is left uncut, its choices stand open.
        # @api private
        class Wanted
          # A treatment cut from a batch, or left uncut (no batch): what that costs by itself, and what it needs (row
          # and count).
          Option = Struct.new(:treatment, :batch, :cost, :needs) do
            # @param prices [Array<Integer>] by row
            def value(prices) = cost + needs.sum { |row, count| prices[row] * count }
          end

          # @return [Array<Integer>] by row, of the treatments that can only be cut from one batch
          attr_reader :counts
          # @return [Array<Array<Option>>] of each other treatment
          attr_reader :choices

          # @param counts [Array<Integer>]
          # @param choices [Array<Array<Option>>]
          def initialize(counts, choices)
            @counts, @choices = counts.freeze, choices.freeze
          end

          # @param choice [Option]
          # @return [Wanted] where it is the only one for its treatment
          def settle(choice) =
            Wanted.new(@counts, @choices.map { |all| (all.any? { |one| one.equal?(choice) }) ? [choice] : all })

          # @return [Array<Option>, nil] of a treatment that isn't settled
          def open = @choices.find { |all| all.size > 1 }

          # @param choice [Option]
          def open?(choice) = @choices.any? { |all| all.any? { |one| one.equal?(choice) } }

          # @param choice [Option]
          # @return [Boolean] whether it is the only one for its treatment
          def settled?(choice) = @choices.any? { |all| all.size == 1 && all.first.equal?(choice) }

          # @return [Array<Integer>] by row, where everything is settled
          def needed
            @choices
              .flat_map { |all| all.first.needs }
              .each_with_object(@counts.dup) { |(row, count), sums| sums[row] += count }
          end

          # @return [Integer] what the choices cost by themselves, where everything is settled
          def cost = @choices.sum { |all| all.first.cost }

          # @param prices [Array<Integer>] by row
          # @return [Integer] what all of it is worth at these prices at least, whatever is chosen
          def value(prices) =
            @counts.each_with_index.sum { |count, row| count * prices[row] } +
              @choices.sum { |all| all.map { |choice| choice.value(prices) }.min }
        end
      end
    end
  end
end
