# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # Lays given cuts along the pieces of one shade, cut by cut, led by prices for the kinds: at each step the
        # prices say what the rest takes at least, and only the most promising beginnings are followed. It proves
        # nothing, but comes to an end soon.
        #
        # A beginning is a plain array, for there are a great many of them: the piece and the place from which to go
        # on, what is still to be cut (packed), what finished pieces cost, what this one costs up to its last cut, the
        # bound of any plan that begins so, the place of the last cut, and the beginning before it.
        # @api private
        class Beam
          # How many are followed at most, and how many steps that may be in all.
          WIDTH = 25
          STEPS = 80_000
          # How many pieces on from the one being cut the next cut may begin: those between are left alone.
          ON = 2
          PIECE, PLACE, LEFT, USED, ENDED, BOUND, CUT, BEFORE = *0..7

          # @param places [Array<Places>] of the pieces
          # @param sets [Multisets] that packs what is to be cut
          # @param prices [Array<Integer>] by kind
          def initialize(places, sets, prices)
            @sets, @prices, @values = sets, prices, {}
            # The pieces that gain most come first: what is left alone should be left at the end.
            @order = places.each_index.sort_by { |piece| [places[piece].worth(prices).last.first || 0, piece] }
            @pieces = places.values_at(*@order)
            @most = @pieces.map { |one| one.most(prices) }
            @room = (0..@pieces.size).map { |piece| @most.drop(piece).sum(&:first) }
            @worth = @pieces.map { |one| one.worth(prices).last }
            @later =
              (0..@pieces.size).map { |piece| @worth.drop(piece).sum { |from_here| [from_here.first || 0, 0].min } }
            @span = @pieces.map(&:size).max + 1
          end

          # @param wanted [Integer] what is to be cut, packed
          # @return [Array<Array<Integer>>, nil] for each piece the places of its cuts, by the best found
          def follow(wanted)
            layer, @width =
              [[0, 0, wanted, 0, 0, 0, nil, nil]], (STEPS / (@sets.counts(wanted).sum * @prices.size)).clamp(2, WIDTH)
            until layer.empty?
              ended = layer.find { |begun| begun[LEFT].zero? } and return laid(ended)
              layer = next_layer(layer)
            end
          end

          private

          # One cut more on this piece, or as the first on a later one.
          def each_step(begun)
            last = [begun[PIECE] + ON, @pieces.size - 1].min
            @prices.each_index do |kind|
              next unless @sets.any?(begun[LEFT], kind)

              left = begun[LEFT] - @sets.units[kind]
              value = @values[left] ||= @sets.counts(left).each_with_index.sum { |count, one| count * @prices[one] }
              begun[PIECE].upto(last) do |piece|
                going = step(begun, piece, kind, left, value)
                yield going if going
              end
            end
          end

          # @return [Array<Array<Integer>>] the way back from the last step
          def laid(begun)
            cuts = Array.new(@pieces.size) { [] }
            while begun[CUT]
              cuts[@order[begun[PIECE]]].unshift(begun[CUT])
              begun = begun[BEFORE]
            end
            cuts
          end

          # The same for all beginnings that go on alike.
          def key(begun) = (begun[LEFT] * @pieces.size + begun[PIECE]) * @span + begun[PLACE]

          def next_layer(layer)
            going = {}
            layer.each do |begun|
              each_step(begun) do |one|
                there = going[at = key(one)]
                going[at] = one if there.nil? || one[BOUND] < there[BOUND]
              end
            end
            going.values.min_by(@width) { |one| one[BOUND] }
          end

          def step(begun, piece, kind, left, value)
            same = piece == begun[PIECE]
            places = @pieces[piece]
            place = places.of_kind(kind, same ? begun[PLACE] : 0) or return
            following = places.following[place]
            return if value > @most[piece][following] + @room[piece + 1]

            used, ended = same ? begun[USED] : begun[USED] + begun[ENDED], places.spent[place]
            going = @worth[piece][following]
            going = ended if going.nil? || going > ended
            [piece, following, left, used, ended, used + going + value + @later[piece + 1], place, begun]
          end
        end
      end
    end
  end
end
