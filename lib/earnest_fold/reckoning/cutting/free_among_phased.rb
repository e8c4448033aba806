# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # The order of cuts where some run sideways, free of the repeat, on a cloth on which others keep to it: a free
      # cut may fill what the repeat would waste. For every multiset of kinds cut so far only the least end matters,
      # so the least end of all is found exactly, as long as there are not too many such multisets.
      # @api private
      class FreeAmongPhased
        MOST_STATES = 20_000
        State = Struct.new(:end, :kind, :before)

        def initialize(cloth, cuts)
          @cloth = cloth
          @cuts = cuts
          @kinds = cuts.group_by { |cut| [cut.start, cut.length] }
        end

        # @return [Boolean] whether there are few enough multisets for the exact search
        def exact? = @kinds.values.reduce(1) { |product, cuts| product * (cuts.size + 1) } <= MOST_STATES

        # @return [Array<Cut>] the best order; ask only where it is {#exact?}
        def order
          sequence = kinds_in_order
          waiting = @kinds.transform_values(&:dup)
          sequence.map { |kind| waiting[kind].shift }
        end

        private

        def kinds_in_order
          full = @kinds.values.map(&:size)
          layer = {Array.new(full.size, 0) => State.new(@cloth.square_off, nil, nil)}
          full.sum.times { layer = next_layer(layer, full) }
          trail(layer.fetch(full))
        end

        def next_layer(layer, full)
          layer.each_with_object({}) do |(counts, state), following|
            @kinds.each_key.with_index do |kind, index|
              next if counts[index] == full[index]

              more = counts.dup.tap { |copy| copy[index] += 1 }
              ended = ended_by(state.end, *kind)
              following[more] = State.new(ended, kind, state) unless following[more] && following[more].end <= ended
            end
          end
        end

        def ended_by(at, start, length) = (start ? at + (start - at) % @cloth.vertical_repeat : at) + length

        def trail(state)
          kinds = []
          while state.kind
            kinds.unshift(state.kind)
            state = state.before
          end
          kinds
        end
      end
    end
  end
end
