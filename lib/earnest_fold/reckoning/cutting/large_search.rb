# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # Plans too many cuts of plain cloth for every multiset to be weighed, on pieces of one shade.
      #
      # A piece is used up to its last cut, so what counts is on which stretch of each piece the last cut lies
      # (`Lasts`): the stretches before it are paid for whether they are full or not. For each choice of last
      # stretches a bound says what it takes at least: where they start, and all cuts, less what fits on the stretches
      # before at best. Choices are tried in the order of their bounds. When a plan takes no more than the least bound
      # of all, it is proved.
      # @api private
      class LargeSearch
        # How many choices are looked at, and how many of them kept.
        MOST_LASTS = 30_000
        MOST_KEPT = 12
        # The plans tried for one choice differ in where they begin among kinds that look alike.
        TURNS = 4
        # How many plans are tried in all.
        MOST_TRIED = 48
        # `before` are stretches paid for whole.
        Lasts = Struct.new(:open, :before, :bound)
        Trail = Struct.new(:last, :cost, :room)
        # For each piece: kind, from and to of its cuts; and what is used.
        PlacedSoFar = Struct.new(:placed, :used)

        # @return [Integer] no plan uses less
        attr_reader :bound

        # @param stretches [Stretches]
        # @param kinds [Array<PieceFill::Shape>]
        # @param counts [Array<Integer>] to be cut of each kind
        def initialize(stretches, kinds, counts)
          @stretches, @kinds, @counts = stretches, kinds, counts
          @laying = LayPlain.new(stretches, kinds)
          @reach = @laying.reaches(counts)
          @total = kinds.zip(counts).sum { |kind, count| kind.length * count }
          @ways = stretches.by_piece.each_index.map { |piece| ways(piece) }
          @roomiest = (0..@ways.size).map { |piece| @ways.drop(piece).sum { |one| one.map(&:room).max } }
          price_room
          @choices = cheapest
          @bound = (@all_seen && @choices.any?) ? @choices.first.bound : @total + still(0, 0)
        end

        # @return [PlacedSoFar, nil] the best found; nil where none of those tried holds all cuts
        def best
          left = MOST_TRIED
          @choices.reduce(nil) do |found, lasts|
            break found if left.zero? || (found && found.used <= lasts.bound)

            TURNS.times do |turn|
              next if left.zero? || (found && found.used <= lasts.bound)

              left -= 1
              laid = laid(lasts, turn)
              found = laid if laid && (found.nil? || laid.used < found.used)
            end
            found
          end
        end

        private

        # The choices of last stretches that have room for all cuts and cost least, piece by piece: a piece left alone
        # costs nothing, one that is used costs what lies before its last stretch less what fits there.
        def cheapest
          kept, nodes = [], 0
          search = lambda do |piece, open, cost, room|
            if (nodes += 1) > MOST_LASTS || room + @roomiest[piece] < @total ||
                (kept.size == MOST_KEPT && cost + still(piece, room) >= kept.last.bound - @total)
              return
            end

            if piece == @ways.size
              kept = [*kept, lasts(open, cost)].min_by(MOST_KEPT) { |one| [one.bound, one.open.size, one.before.size] }
              next
            end
            @ways[piece].each do |way|
              search.call(piece + 1, way.last ? open + [way.last] : open, cost + way.cost, room + way.room)
            end
          end
          search.call(0, [], 0, 0)
          @all_seen = nodes <= MOST_LASTS
          kept
        end

        # What the room that is still wanted costs at least: at one price for room, whatever pieces it comes from.
        def still(piece, room) = [((@total - room) * @price + @spared[piece]).ceil, @spared_at_least[piece]].max

        # The price for room at which that says most of all pieces together.
        def price_room
          priced =
            @ways
              .flatten
              .select(&:last)
              .map { |way| Rational(way.cost, way.room) }
              .uniq
              .map { |price| [@total * price + spared(price).first, price] }
          @price = priced.max&.last || 0r
          @spared, @spared_at_least = spared(@price), spared(0r)
        end

        # @return [Array<Rational>] from each piece on, what its best use costs less than its room would at the price
        def spared(price)
          sums = @ways.map { |ways| ways.map { |way| way.cost - price * way.room }.min }
          sums.reverse.each_with_object([0r]) { |one, all| all << all.last + one }.reverse
        end

        # What a piece can be used for: no further than is paid for, or up to one of its stretches; the cheapest first.
        def ways(piece)
          free = @stretches.free[piece]
          before, room = free.sum { |stretch| @reach[stretch.index] }, free.sum(&:room)
          [Trail.new(nil, -before, room), *(@stretches.by_piece[piece] - free).map { |stretch|
            way = Trail.new(stretch, stretch.from - @stretches.pieces[piece].paid - before, room += stretch.room)
            before += @reach[stretch.index]
            way
          }].sort_by(&:cost)
        end

        def lasts(open, cost)
          before = @stretches.by_piece.each_with_index.flat_map do |stretches, piece|
            last = open.find { |one| one.piece == piece }
            last ? stretches.take_while { |stretch| stretch.index != last.index } : @stretches.free[piece]
          end
          Lasts.new(open, before, @total + cost)
        end

        # The stretches before the last ones first, as full as can be; then the last ones, the roomiest at the end, so
        # that what is left over lies together.
        def laid(lasts, turn)
          counts, kinds = @counts, {}
          before, open = lasts.before.sort_by(&:room), lasts.open.sort_by(&:room)
          (before + open).each_with_index do |stretch, index|
            sequence =
              (index < before.size) ? @laying.fill(stretch, counts, turn) : @laying.along(stretch, counts, turn)
            kinds[stretch.index] = sequence
            counts = without_all(counts, sequence)
          end
          placed(kinds) if counts.all?(&:zero?)
        end

        def without_all(counts, sequence) = counts.dup.tap { |left| sequence.each { |kind| left[kind] -= 1 } }

        # A piece is used up to the end of its last cut; what is paid for counts for nothing.
        def placed(kinds)
          cuts = @stretches.by_piece.map do |stretches|
            stretches.flat_map { |stretch| @stretches.placed(stretch, kinds.fetch(stretch.index, []), @kinds) }
          end
          PlacedSoFar.new(
            cuts,
            cuts.zip(@stretches.pieces).sum { |one, piece| [one.empty? ? 0 : one.last.last - piece.paid, 0].max }
          )
        end
      end
    end
  end
end
