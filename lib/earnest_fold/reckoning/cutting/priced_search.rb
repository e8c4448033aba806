# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # Plans many cuts of patterned cloth on pieces of one shade: laid along the pieces by a {Beam} that {Prices} lead, then bettered
      # by laying what two of the pieces hold afresh, again and again, until the bound is reached or the tries are used up; and where
      # there are few multisets, every beginning that could still take less is looked at.
      class PricedSearch
        # The beam at prices a little aside, in parts of NUDGED: which beginning looks best hangs on little.
        NUDGES = [[0, 1], [1, 4], [2, 4], [3, 6]].freeze
        NUDGED = 2500
        # How often two or three pieces are laid afresh, and in how many steps their prices are found.
        TRIES = 20
        STEPS = 50
        # What is left is looked at in full only where it can come to an end: few multisets, or a plan close to the bound.
        MOST_VISITED = 12_000
        FEW = 300_000

        # @return [Integer] no plan uses less
        attr_reader :bound

        # @param task [PlanTask]
        # @param pieces [Array<Piece>]
        # @param counts [Array<Integer>] of each kind
        def initialize(task, pieces, counts)
          @task, @kinds, @sets, @counts = task, task.kinds, Multisets.new(counts), counts
          @places = pieces.map { |piece| Places.new(task.fill(piece), @kinds, task.paid(piece)) }
          @priced = Prices.new(@places, counts, @kinds.map { |kind| kind.length * 21 / 20 })
          @bound = attainable(pieces)
        end

        # @return [Laid, nil] the best found; nil where none was
        def best
          found = NUDGES.filter_map { |by, round| Beam.new(@places, @sets, nudged(@priced.prices, by, round)).follow(@sets.pack(@counts)) }.min_by(&:used)
          found = bettered(found) if found
          few? ? exhaust(found) : found
        end

        private

        def attainable(pieces)
          return @priced.bound unless pieces.all? { |piece| @task.paid(piece).zero? }

          value = @priced.prices.zip(@counts).sum { |price, count| price * count }
          Attainable.new(@places, @kinds, @task.repeat, pieces.map { |piece| @task.whole(piece.pattern_start) }).least(@priced, value)
        end

        def nudged(prices, by, round) = prices.each_with_index.map { |price, kind| price + price * by * ((kind * 7 + by) % round - round / 2) / NUDGED }

        def few? = @counts.reduce(1) { |product, count| product * (count + 1) } <= FEW

        # Two or three pieces at a time are laid afresh; what is as good and lies otherwise is taken too, for it may lead on.
        def bettered(found)
          groups = neighbourhoods
          TRIES.times do |round|
            return found if found.used <= @bound || groups.empty?

            group = groups[round % groups.size]
            again = afresh(found, group, round) or next
            found = again
          end
          found
        end

        def neighbourhoods = (2..[2, @places.size].min).flat_map { |size| @places.each_index.to_a.combination(size).to_a }

        # @return [Laid, nil] with these pieces laid anew, where that is no worse
        def afresh(found, group, round)
          counts = group.each_with_object(Array.new(@kinds.size, 0)) { |piece, sums| found.placed[piece].each { |kind, _, _| sums[kind] += 1 } }
          return if counts.sum < 2

          places = @places.values_at(*group)
          now = group.sum { |piece| cost(piece, found.placed[piece]) }
          priced = Prices.new(places, counts, @priced.prices, steps: STEPS)
          return if priced.bound >= now && round < TRIES / 2

          again = Beam.new(places, @sets, nudged(priced.prices, round % 3, 5)).follow(@sets.pack(counts), below: now + 1)
          again && Laid.new(found.placed.dup.tap { |all| group.zip(again.placed) { |piece, cuts| all[piece] = cuts } }, found.used - now + again.used)
        end

        def cost(piece, cuts) = cuts.empty? ? 0 : @places[piece].spent_at(cuts.last.last)

        # Whatever could still use less than what was found, the most promising first; where all of it has been looked at, what
        # was found is the best there is.
        def exhaust(found)
          beam, most, seen = Beam.new(@places, @sets, @priced.prices), found&.used, {}
          waiting = [beam.start(@sets.pack(@counts))]
          while (begun = waiting.pop)
            return found if seen.size > MOST_VISITED
            next if most && begun[Beam::BOUND] >= most

            if begun[Beam::LEFT].zero?
              found = beam.laid(begun)
              most = found.used
            else
              waiting.concat(unseen(beam, begun, seen).select { |one| most.nil? || one[Beam::BOUND] < most }.sort_by { |one| -one[Beam::BOUND] })
            end
          end
          @bound = most if most
          found
        end

        def unseen(beam, begun, seen)
          going = []
          beam.each_step(begun) do |one|
            spent = one[Beam::USED] + one[Beam::ENDED]
            key = beam.key(one)
            next if seen[key] && seen[key] <= spent

            seen[key] = spent
            going << one
          end
          going
        end
      end
    end
  end
end
