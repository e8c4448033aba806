# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # Plans many cuts of patterned cloth on pieces of one shade: cut by cut along piece after piece, led by {Prices}. At each
      # step the prices say what the rest takes at least; only the most promising beginnings are followed (a beam), and then, as
      # far as the time allows, every other beginning that could still take less than the best plan found.
      class PricedSearch
        BEAM = 25
        # The same search once more at prices a little aside, in parts of NUDGED: which beginning looks best hangs on little.
        NUDGES = [[0, 1], [1, 4], [2, 4], [3, 6]].freeze
        NUDGED = 2500
        # What is left is looked at in full only where it can come to an end: few multisets, or a plan close to the bound.
        MOST_VISITED = 12_000
        FEW = 300_000
        CLOSE = 5_000
        # How many pieces on from the one being cut the next cut may begin: those between are left alone.
        ON = 2
        # A beginning: the piece and the place from which to go on, what is still to be cut (packed), what finished pieces use,
        # what this piece costs up to its last cut, the bound of any plan that begins so, and the step that led here.
        Begun = Struct.new(:piece, :place, :left, :used, :ended, :bound, :cut, :before)
        # For each piece: kind, from and to of its cuts; and what is used.
        Laid = Struct.new(:placed, :used)

        # @return [Integer] no plan uses less
        attr_reader :bound

        # @param task [PlanTask]
        # @param pieces [Array<Piece>]
        # @param counts [Array<Integer>] of each kind
        def initialize(task, pieces, counts)
          @kinds, @sets = task.kinds, Multisets.new(counts)
          @places = pieces.map { |piece| Places.new(task.fill(piece), @kinds, task.paid(piece)) }
          priced = Prices.new(@places, counts, @kinds.map { |kind| kind.length * 21 / 20 })
          @counts, @bound = counts, priced.bound
          begin_with(priced.prices)
        end

        # @return [Laid, nil] the best found; nil where none was
        def best
          settled = @prices
          found = NUDGES.filter_map { |by, round| followed(nudged(settled, by, round)) }.min_by(&:used)
          begin_with(settled)
          worth_looking?(found) ? exhaust(found) : found
        end

        private

        # The pieces that gain most come first: what is left alone should be left at the end.
        def begin_with(prices)
          @prices, @values = prices, {}
          @order = @places.each_index.sort_by { |piece| [@places[piece].worth(prices).last.first || 0, piece] }
          @pieces = @places.values_at(*@order)
          @most = @pieces.map { |one| one.most(@prices) }
          @room = (0..@pieces.size).map { |piece| @most.drop(piece).sum(&:first) }
          @worth = @pieces.map { |one| one.worth(@prices).last }
          @later = (0..@pieces.size).map { |piece| @worth.drop(piece).sum { |from_here| [from_here.first || 0, 0].min } }
        end

        def start = Begun.new(0, 0, @sets.pack(@counts), 0, 0, @bound, nil, nil)

        # Many beginnings side by side, each one cut longer, the most promising kept.
        def follow
          layer = [start]
          until layer.empty?
            going = {}
            layer.each { |begun| return begun if begun.left.zero? }
            layer.each { |begun| steps(begun) { |one| keep(going, one) } }
            layer = going.values.min_by(BEAM, &:bound)
          end
        end

        def keep(going, one)
          key = [one.piece, one.place, one.left]
          there = going[key]
          going[key] = one if there.nil? || one.bound < there.bound
        end

        def nudged(prices, by, round) = prices.each_with_index.map { |price, kind| price + price * by * ((kind * 7 + by) % round - round / 2) / NUDGED }

        # @return [Laid, nil]
        def followed(prices)
          begin_with(prices)
          follow&.then { |found| Laid.new(placed(found), found.used + found.ended) }
        end

        def worth_looking?(found)
          states = @counts.reduce(1) { |product, count| product * (count + 1) }
          states <= FEW || (found && (found.used - bound) * CLOSE <= bound)
        end

        # Whatever could still use less than what was found, the most promising first; where all of it has been looked at, what
        # was found is the best there is.
        def exhaust(found)
          most = found&.used
          waiting, seen = [start], {}
          while (begun = waiting.pop)
            return found if seen.size > MOST_VISITED
            next if most && begun.bound >= most

            if begun.left.zero?
              most = begun.used + begun.ended
              found = Laid.new(placed(begun), most)
              next
            end
            waiting.concat(unseen(begun, seen).select { |one| most.nil? || one.bound < most }.sort_by { |one| -one.bound })
          end
          @bound = most if most
          found
        end

        def unseen(begun, seen)
          going = []
          steps(begun) do |one|
            key = [one.piece, one.place, one.left]
            spent = one.used + one.ended
            next if seen[key] && seen[key] <= spent

            seen[key] = spent
            going << one
          end
          going
        end

        # One cut more on this piece, or as the first on a later one.
        def steps(begun, &block)
          @kinds.each_index do |kind|
            next unless left?(begun.left, kind)

            (begun.piece..[begun.piece + ON, @pieces.size - 1].min).each { |piece| step(begun, piece, kind, &block) }
          end
        end

        def step(begun, piece, kind)
          same = piece == begun.piece
          place = @pieces[piece].of_kind(kind, same ? begun.place : 0) or return
          used = same ? begun.used : begun.used + begun.ended
          following, ended, left = @pieces[piece].following[place], @pieces[piece].spent[place], begun.left - @sets.units[kind]
          return if value(left) > @most[piece][following] + @room[piece + 1]

          going = @worth[piece][following]
          going = ended if going.nil? || going > ended
          yield Begun.new(piece, following, left, used, ended, used + going + value(left) + @later[piece + 1], place, begun)
        end

        # What is still to be cut, at its prices.
        def value(left) = @values[left] ||= @sets.counts(left).each_with_index.sum { |count, kind| count * @prices[kind] }

        def left?(left, kind) = @sets.count(left, kind).positive?

        # The way back from the last step.
        def placed(begun)
          cuts = Array.new(@pieces.size) { [] }
          while begun.cut
            places = @pieces[begun.piece]
            cuts[@order[begun.piece]].unshift([places.kinds[begun.cut], places.start(begun.cut), places.ends[begun.cut]])
            begun = begun.before
          end
          cuts
        end
      end
    end
  end
end
