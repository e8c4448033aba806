# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # Lays cuts along stretches of plain cloth, where order doesn't matter and nothing is lost between cuts.
      # @api private
      class LayPlain
        # @param stretches [Stretches]
        # @param kinds [Array<PieceFill::Shape>]
        def initialize(stretches, kinds)
          @stretches, @kinds = stretches, kinds
          @longest = stretches.all.map(&:room).max
        end

        # @param counts [Array<Integer>] of each kind
        # @return [Array<Integer>] how full each stretch can get at best, whatever the others take
        def reaches(counts) = fullest(counts).then { |sums| @stretches.all.map { |stretch| sums.reach(stretch.room) } }

        # @return [Array<Integer>] kinds that fill the stretch as far as can be
        def fill(stretch, counts, turn)
          sums = fullest(counts)
          return along(stretch, counts, turn) unless sums.listed?

          sums.taken(stretch.room, turn).each_with_index.flat_map { |count, kind| [kind] * count }
        end

        # The longest first, as many as there is room for.
        # @return [Array<Integer>] kinds in order
        def along(stretch, counts, turn)
          if @kinds.zip(counts).sum { |kind, count| kind.length * count } > stretch.room && fullest(counts).listed?
            return fill(stretch, counts, turn)
          end

          room = stretch.room
          counts.each_index.sort_by { |kind| [-@kinds[kind].length, (kind + turn) % @kinds.size] }.flat_map do |kind|
            taken = [counts[kind], room / @kinds[kind].length].min
            room -= taken * @kinds[kind].length
            [kind] * taken
          end
        end

        private

        def fullest(counts) = Fullest.new(@kinds.map(&:length), counts, @longest)
      end
    end
  end
end
