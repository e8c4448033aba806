# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # What can be cut from all pieces of one batch: for every multiset the least cloth, then the fewest pieces, then
      # the longest remnant. Pieces are joined one by one; each of the three aims only grows worse or stays as pieces
      # are added, so the best of a part stays within the best of the whole.
      # @api private
      class BatchFill
        # A way to cut a multiset: what it takes, and how it is shared out over the pieces so far.
        SoFar = Struct.new(:used, :pieces, :remnant, :share, :before) do
          # @return [Array] the least is the best
          def rank = [used, pieces, -remnant]
        end

        # A piece: what can be cut from it, how long it is, and up to where its cloth costs nothing more.
        Fillable = Struct.new(:fill, :length, :paid)

        # @param pieces [Array<Fillable>]
        # @param sets [Multisets] what there is of each kind
        def initialize(pieces, sets)
          @pieces, @sets = pieces, sets
          @reaches = pieces.map { |piece| piece.fill.reaches(sets) }
        end

        # @param states [Integer] multisets in all
        # @return [Integer] how many pairs of multisets the joining looks at, at most
        def work(states) = @reaches.drop(1).sum { |reaches| reaches.size * states }

        # @return [Hash{Integer => SoFar}]
        def ways
          @ways ||=
            @reaches
              .each_with_index
              .reduce({0 => SoFar.new(0, 0, 0, nil, nil)}) do |ways, (reaches, index)|
                joined(ways, reaches, @pieces[index])
              end
        end

        # @param multiset [Integer] one of {#ways}
        # @return [Array<Array<Array(Integer, Integer, Integer)>>] for each piece: kind, from, to of its cuts
        def layout(multiset)
          way = ways.fetch(multiset)
          @pieces.each_index.to_a.reverse.map { |index|
            cuts = @pieces[index].fill.sequence(way.share, @reaches[index], @sets)
            way = way.before
            cuts
          }.reverse
        end

        private

        def joined(ways, reaches, piece)
          ways.each_with_object({}) do |(multiset, way), following|
            reaches.each do |share, reach|
              sum = multiset + share
              next unless @sets.fits?(sum)

              best = following[sum]
              next if best && best.used < way.used + [reach.end - piece.paid, 0].max

              better = with(way, share, reach, piece)
              following[sum] = better unless best && (best.rank <=> better.rank) <= 0
            end
          end
        end

        def with(way, share, reach, piece)
          return SoFar.new(way.used, way.pieces, way.remnant, share, way) if reach.last.nil?

          SoFar.new(
            way.used + [reach.end - piece.paid, 0].max,
            way.pieces + 1,
            [way.remnant, piece.length - [reach.end, piece.paid].max].max,
            share,
            way
          )
        end
      end
    end
  end
end
