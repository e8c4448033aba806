# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # How many of each kind, packed into one whole number so that two of them are joined by one addition: a field of
      # bits for each kind, with a guard bit above that shows at once when there are too many of it.
      # @api private
      class Multisets
        # @return [Array<Integer>] one of each kind
        attr_reader :units

        # @param most [Array<Integer>] of each kind
        def initialize(most)
          widths = most.map { |count| count.bit_length + 1 }
          offsets = widths.each_with_object([0]) { |width, sums| sums << sums.last + width }
          @offsets, @masks = offsets.first(most.size).freeze, widths.map { |width| (1 << (width - 1)) - 1 }.freeze
          @fields = @offsets.zip(@masks).map { |offset, mask| mask << offset }.freeze
          @units = @offsets.map { |offset| 1 << offset }.freeze
          @guards = offsets.drop(1).sum { |offset| 1 << (offset - 1) }
          @limit = pack(most) | @guards
        end

        # @param counts [Array<Integer>] each at most what there is of its kind
        # @return [Integer]
        def pack(counts) = counts.each_with_index.sum { |count, kind| count * @units[kind] }

        # @param set [Integer] packed
        # @return [Integer] how many of a kind are in it
        def count(set, kind) = (set >> @offsets[kind]) & @masks[kind]

        # @return [Boolean] whether there is one of a kind in it
        def any?(set, kind) = set & @fields[kind] != 0

        # @return [Array<Integer>] of each kind
        def counts(set) = @offsets.each_index.map { |kind| count(set, kind) }

        # @param sum [Integer] of two that fit
        # @return [Boolean] whether it holds no more of any kind than there is
        def fits?(sum) = (@limit - sum) & @guards == @guards
      end
    end
  end
end
