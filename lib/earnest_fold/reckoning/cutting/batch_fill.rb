# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # What can be cut from all pieces of one batch: for every multiset the least cloth, then the fewest pieces, then the
      # longest remnant. Pieces are joined one by one; each of the three aims only grows worse or stays as pieces are added, so
      # the best of a part stays within the best of the whole.
      class BatchFill
        # A way to cut a multiset: what it takes, and how it is shared out over the pieces so far.
        Way = Struct.new(:used, :pieces, :remnant, :share, :before) do
          def rank = [used, pieces, -remnant]
        end

        # @param pieces [Array<PieceFill>]
        # @param lengths [Array<Integer>] of the pieces
        # @param counts [Array<Integer>] of each kind, at most
        def initialize(pieces, lengths, counts)
          @pieces, @lengths = pieces, lengths
          @reaches = pieces.map { |piece| piece.reaches(counts) }
          @counts = counts
        end

        # @return [Integer] how many pairs of multisets a search through all would look at
        def work = @reaches.each_cons(2).sum { |one, other| one.size * other.size }

        # @return [Hash{Array<Integer> => Way}]
        def ways
          @ways ||= @reaches.each_with_index.reduce({Array.new(@counts.size, 0) => Way.new(0, 0, 0, nil, nil)}) do |ways, (reaches, index)|
            joined(ways, reaches, @lengths[index])
          end
        end

        # @param multiset [Array<Integer>] one of {#ways}
        # @return [Array<Array<Array(Integer, Integer, Integer)>>] for each piece: kind, from, to of its cuts
        def layout(multiset)
          way = ways.fetch(multiset)
          @pieces.each_index.to_a.reverse.map { |index|
            cuts = @pieces[index].sequence(way.share, @reaches[index])
            way = way.before
            cuts
          }.reverse
        end

        private

        def joined(ways, reaches, length)
          ways.each_with_object({}) do |(multiset, way), following|
            reaches.each do |share, reach|
              sum = added(multiset, share) or next
              better = with(way, share, reach, length)
              following[sum] = better unless following[sum] && (following[sum].rank <=> better.rank) <= 0
            end
          end
        end

        def added(multiset, share)
          sum = multiset.each_with_index.map { |count, kind| count + share[kind] }
          sum unless sum.each_with_index.any? { |count, kind| count > @counts[kind] }
        end

        def with(way, share, reach, length)
          return Way.new(way.used, way.pieces, way.remnant, share, way) if reach.last.nil?

          Way.new(way.used + reach.end, way.pieces + 1, [way.remnant, length - reach.end].max, share, way)
        end
      end
    end
  end
end
