# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A range with the value wished for within it.
    Range3 = Value.define(:min, :target, :max) do
      # @param millimetres [Rational]
      # @return [Rational] how far it falls outside, over the target
      #
      #   Range3.new(min: Length.cm(9), target: Length.cm(10), max: Length.cm(12)).penalty(130r) # => (1/10)
      def penalty(millimetres)
        return (min.mm - millimetres) / target.mm if millimetres < min.mm

        (millimetres > max.mm) ? (millimetres - max.mm) / target.mm : 0r
      end

      # @param length [Length]
      # @return [Boolean]
      #
      #   lined.heading.space.include?(Length.cm(10)) # => true
      def include?(length) = length.between?(min, max)

      # @return [Array<Length>] the values at which the penalty's course turns
      #
      #   lined.heading.space.turns # => [90 mm, 105 mm, 120 mm]
      def turns = [min, target, max].select(&:positive?)
    end
    Range3::FIELDS = Fields.new(min: Declare.length, target: Declare.length(least: :over_zero), max: Declare.length)

    # The best count of hand pleats: the least penalty, then the space nearest its target, then more pleats.
    # `between` is what hangs between the flat ends, `extra` the cloth that the pleats take up.
    class BestPleats < Value.define(:between, :extra, :space, :take_up)
      LEAST = 2

      # @return [Integer] 2 or more
      #
      #   made = lined.reckon.curtains.first
      #   lined.heading.best(made.task).count # => 10
      def count
        fitting = fitting_counts
        return fitting.min_by { |pleats| beside(pleats) } if fitting.any?

        tried = candidates.map { |pleats| [penalty(pleats), pleats] }
        least = tried.map(&:first).min
        tried.filter_map { |penalty, pleats| pleats if penalty == least }.min_by { |pleats| beside(pleats) }
      end

      # @return [Array] sorts the counts, the best first
      #
      #   made = lined.reckon.curtains.first
      #   lined.heading.best(made.task).rank(10).first # => (0/1)
      def rank(pleats) = [penalty(pleats), *beside(pleats)]

      # @return [Rational] how far space and pleat fall outside their ranges, together
      #
      #   made = lined.reckon.curtains.first
      #   lined.heading.best(made.task).penalty(10) # => (0/1)
      def penalty(pleats) = space.penalty(between.mm / (pleats - 1)) + take_up.penalty(extra.mm / pleats)

      # Whether one count is the best all the way from here to there, as between and extra each run one way: its penalty
      # is greatest at an end, as it is convex, and every other count is held against that; one that fits all the way
      # only against its neighbours, as the space goes one way with the count. Where that proves nothing it may still be
      # so.
      # @param other [BestPleats] with the same ranges
      # @param pleats [Integer] the best count here and there
      # @return [Boolean]
      #
      #   best = lined.heading.best(lined.curtains.first.task)
      #   best.holds_up_to?(best.with(extra: best.extra + Length.cm(1)), best.count) # => true
      def holds_up_to?(other, pleats)
        worst = [self, other].map { |one| one.penalty(pleats) }.max
        return true if worst.zero? && [pleats - 1, pleats + 1].all? { |rival| behind?(other, pleats, rival) }

        rivals(other).all? { |rival| rival == pleats || beaten?(other, pleats, worst, rival) }
      end

      # @param pleats [Integer] how many there are
      # @return [Array<Rational>] what comes to a whole number where one pleat less, and one more, brings the space as
      #   near its target
      #
      #   made = lined.reckon.curtains.first
      #   lined.heading.best(made.task).counted_from(10).size # => 2
      def counted_from(pleats) =
        [pleats - 1, pleats].select { |fewer| fewer > 1 }.map do |fewer|
          between.mm * (1 / (fewer - 1r) + 1 / fewer.to_r) / (space.target.mm * 2)
        end

      # @return [Boolean] whether the space of one count is nearer its target than another's, or as near, with more
      #   pleats
      #
      #   lined.heading.best(lined.curtains.first.task).nearer?(10, 9) # => true
      def nearer?(pleats, rival) = (beside(pleats) <=> beside(rival)).negative?

      # @return [Array<Rational>] where the least penalty can lie, as counts
      #
      #   lined.heading.best(lined.curtains.first.task).places.size # => 7
      def places =
        space.turns.map { |length| between / length + 1 } + take_up.turns.map { |length| extra / length } + [valley]

      private

      # What decides between counts of the same penalty.
      def beside(pleats) = [(between.mm / (pleats - 1) - space.target.mm).abs, -pleats]

      def rivals(other)
        places
          .zip(other.places)
          .flat_map { |ends| ((ends.min.floor - 1)..(ends.max.floor + 1)).to_a }
          .push(LEAST)
          .select { |count| count >= LEAST }
          .uniq
      end

      def beaten?(other, pleats, worst, rival)
        least = least_penalty(space, between.mm / (rival - 1), other.between.mm / (rival - 1)) +
          least_penalty(take_up, extra.mm / rival, other.extra.mm / rival)
        worst < least || (worst.zero? && behind?(other, pleats, rival))
      end

      def behind?(other, pleats, rival) =
        rival < LEAST || [self, other].all? { |one| one.nearer?(pleats, rival) }

      def least_penalty(range, from, to)
        low, high = [from, to].minmax
        return 0r if low <= range.max.mm && high >= range.min.mm

        [range.penalty(low), range.penalty(high)].min
      end

      # The counts without penalty nearest the target space; none where nothing fits.
      def fitting_counts
        return [] unless [space, take_up].all? { |range| range.min.positive? && range.max.positive? }

        least = [(between / space.max).ceil + 1, (extra / take_up.max).ceil, LEAST].max
        most = [(between / space.min).floor + 1, (extra / take_up.min).floor].min
        return [] if least > most

        wished = (between / space.target).floor + 1
        [wished, wished + 1].map { |pleats| pleats.clamp(least, most) }.uniq
      end

      # Only where the penalty's course turns can its least lie, so only the counts round those places are tried; a test
      # holds this against trying all.
      def candidates
        places
          .flat_map { |place| ((place.floor - 1)..(place.floor + 1)).to_a }
          .push(LEAST)
          .select { |count| count >= LEAST }
          .uniq
      end

      # Where spaces are too wide and pleats too thin at once, the two penalties can balance between the other places:
      # at the greatest n with b(n − 1)² ≤ a·n² (a, b: spaces and take-up over their targets).
      def valley
        wide, thin = between / space.target, extra / take_up.target
        return Rational(LEAST) if thin <= wide

        highest =
          [space, take_up].zip([wide, thin])
            .map { |range, size| range.turns.map { |length| size * (range.target / length) }.max }
            .max
            .ceil + 2
        Rational((LEAST..highest).bsearch { |count| thin * (count - 1)**2 > wide * count**2 } || highest)
      end
    end
  end
end
