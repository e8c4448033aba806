# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # The ways to cut one piece of patterned cloth: the one that gains most at given prices, and those that gain
        # nearly as much with what is left to cut.
        # @api private
        class PieceFillings
          # More than any plan costs.
          NEVER = 1 << 61
          # So many multisets are few.
          FEW = 8_000

          # @return [Integer] which piece it is
          attr_reader :index
          # @return [Places]
          attr_reader :places
          # @return [Array<Integer>] by kind
          attr_reader :rows
          # @return [Integer] what one pass along the piece takes
          attr_reader :size

          # @param index [Integer] of the piece
          # @param fill [PieceFill]
          # @param places [Places]
          # @param rows [Array<Integer>] by kind, those of the piece's batch
          # @param unit [Integer] what one step of the scale costs; using the piece at all costs 1
          def initialize(index, fill, places, rows, unit)
            @index, @fill, @places, @rows = index, fill, places, rows
            @size, @kinds, @following, @spent = places.size, places.kinds, places.following, places.spent
            @costs = @spent.map { |spent| spent * unit + 1 }
            @known = {}
          end

          # @param prices [Array<Integer>] by row
          # @param window [Bounds, Filling]
          # @return [Array(Integer, Filling)] what the best filling costs less what it yields at these prices; nil for
          #   none
          def best(prices, window)
            return [window.gain(prices), window] if window.is_a?(Filling)

            from_here, first = worth(prices, window)
            [from_here.first, known_as(filling(follow(from_here, first, window)))] if from_here.first < NEVER
          end

          # @param mixture [Relaxation] whose prices lead
          # @param window [Bounds]
          # @param left [Array<Integer>] by row: no more than this
          # @param slack [Integer] by how much less they may gain than the best
          # @param most [Integer] how many are wanted
          # @return [Array(Array<Filling>, Boolean)] the best first, and whether those are all
          def nearly_best(mixture, window, left, slack, most)
            from_here, = worth(mixture.prices, window)
            return [[], true] unless from_here.first < NEVER

            nearly = NearlyBest.new(self, mixture, window, from_here, from_here.first + slack, most)
            [nearly.found(left).map { |places| filling(places) }, !nearly.over?]
          end

          # @param left [Array<Integer>] by row
          # @return [Boolean] whether the ways to cut all of it can be looked at
          def few?(left) = left.values_at(*@rows).reduce(1) { |product, count| product * (count + 1) } <= FEW

          # @param left [Array<Integer>] by row, which is all to be cut from this piece
          # @return [Filling, nil] the one that ends soonest
          def all_of(left)
            counts = left.values_at(*@rows)
            return unless counts.sum == left.sum

            sets = Multisets.new(counts)
            reaches = @fill.reaches(sets)
            if reaches.key?(sets.pack(counts))
              filling(along(@fill.sequence(sets.pack(counts), reaches, sets).map(&:first)))
            end
          end

          # @param places [Array<Integer>] in order
          # @return [Filling]
          def filling(places)
            Filling.new(
              @index,
              places,
              @spent[places.last],
              @costs[places.last],
              places.map { |place| row(place) }.tally.sort
            )
          end

          # @return [Integer] the row of the kind at a place
          def row(place) = @rows[@kinds[place]]

          # @return [Integer] what a filling costs that ends with this place; {NEVER} outside the window
          def cost(place, window) = @spent[place].between?(window.least, window.most) ? @costs[place] : NEVER

          # @param filling [Filling]
          # @return [Array<Array(Integer, Integer, Integer)>] kind, from and to of each cut
          def placed(filling) =
            filling.places.map { |place| [@kinds[place], @places.start(place), @places.ends[place]] }

          private

          # The places of cuts of these kinds, one after the other.
          def along(kinds)
            at = 0
            kinds.map { |kind| @places.of_kind(kind, at).tap { |place| at = @following[place] } }
          end

          def known_as(filling) = @known[[filling.spent, filling.yields]] ||= filling

          # What the rest of the piece costs at best from each place on, and at which place it then begins. One pass,
          # asked for very often.
          def worth(prices, window)
            from_here, first = Array.new(@size + 1, NEVER), Array.new(@size + 1)
            least, start, most = window.least, nil, window.most
            best, own = NEVER, prices.values_at(*@rows)
            place = @size - 1
            while place >= 0
              value = from_here[@following[place]]
              spent = @spent[place]
              value = @costs[place] if (spent <= most) && (spent >= least) && @costs[place] < value
              value -= own[@kinds[place]]
              best, start = value, place if value < best && value < NEVER / 2
              from_here[place], first[place] = best, start
              place -= 1
            end
            [from_here, first]
          end

          def follow(from_here, first, window)
            places, place = [], 0
            loop do
              places << (place = first[place])
              following = @following[place]
              return places if from_here[following] >= cost(place, window)

              place = following
            end
          end
        end
      end
    end
  end
end
