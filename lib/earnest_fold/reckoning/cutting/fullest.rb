# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # How full a stretch of plain cloth can get: all lengths that some of the cuts make together, one bit for each.
      # @api private
      class Fullest
        # Beyond this many steps of the scale no sums are listed.
        MOST = 40_000_000

        # @param lengths [Array<Integer>] of the kinds
        # @param counts [Array<Integer>] of each kind
        # @param longest [Integer] no longer sums are wanted
        def initialize(lengths, counts, longest)
          @unit = lengths.reduce(:gcd)
          @lengths = lengths.map { |length| length / @unit }
          @counts = counts
          @longest = longest / @unit
        end

        # @return [Boolean] whether the sums can be listed at all
        def listed? = @longest <= MOST

        # @param room [Integer]
        # @return [Integer] the largest sum that it holds
        def reach(room) = (listed? ? top(room) : room / @unit) * @unit

        # @param room [Integer]
        # @param turn [Integer] with which kind to begin, among many that make the same sum
        # @return [Array<Integer>] how many of each kind make the largest sum that it holds
        def taken(room, turn)
          order = @lengths.each_index.to_a.rotate(turn)
          steps = order.each_with_object([1]) { |kind, sums| sums << with(sums.last, kind) }
          rest = (steps.last & mask(room)).bit_length - 1
          order.each_index.reverse_each.each_with_object(Array.new(@counts.size, 0)) do |place, taken|
            kind = order[place]
            while steps[place][rest].zero?
              taken[kind] += 1
              rest -= @lengths[kind]
            end
          end
        end

        private

        def mask(room) = (1 << ([room / @unit, @longest].min + 1)) - 1

        def top(room) = (sums & mask(room)).bit_length - 1

        def sums = @sums ||= @lengths.each_index.reduce(1) { |bits, kind| with(bits, kind) }

        def with(bits, kind)
          length = @lengths[kind]
          all = (1 << (@longest + 1)) - 1
          [@counts[kind], @longest / length].min.times { bits |= (bits << length) & all }
          bits
        end
      end
    end
  end
end
