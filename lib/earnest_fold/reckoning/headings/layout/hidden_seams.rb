# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Lets pleats differ in take-up, spaces staying equal, so that seams fall inside pleats. Among all ways it finds
    # the one that hides the most seams with the least possible largest difference from the mean.
    #
    # With D(i) the sum of the first i differences, D(0) = D(n) = 0, a seam inside pleat i puts an upper bound on D(i
    # − 1) and a lower one on D(i). A course with steps of at most d exists exactly when every lower bound L at a and
    # upper bound U at b keep L − U ≤ d·|a − b|: so the least d for a choice of pleats is the largest such
    # quotient, and no search over d is needed.
    class HiddenSeams
      MARGIN = Length.mm(5)
      # A bound on the course at one place.
      Bound = Struct.new(:index, :value)
      # A way to place the seams: lower and upper bounds, the seams that show, and the largest difference it takes.
      Division = Struct.new(:lower, :upper, :shown, :largest) do
        # @return [Array] the least is the best
        #
        #   HiddenSeams::Division.new([], [], [Length.cm(3)], 0r).rank # => [1, (0/1)]
        def rank = [shown.size, largest]
      end

      # @param pleats [Integer]
      # @param take_up [Length] the mean
      # @param space [Length]
      # @param lead [Length] the flat part before the first pleat
      # @param tolerance [Length]
      def initialize(pleats:, take_up:, space:, lead:, tolerance:)
        @pleats, @take_up, @space, @lead, @tolerance = pleats, take_up.mm, space.mm, lead.mm, tolerance.mm
      end

      # @param seams [Array<Length>] from the leading edge
      # @return [Array<Length>] the take-up of each pleat, from the leading edge; their sum is the mean's
      #
      #   five = {pleats: 5, take_up: Length.cm(14), space: Length.cm(10)}
      #   made = HiddenSeams.new(**five, lead: Length.cm(8), tolerance: Length.cm(2))
      #   made.take_ups([Length.cm(24)]).map(&:mm).sum # => (700/1)
      def take_ups(seams)
        way = best(seams.map(&:mm))
        course = (0..@pleats).map { |index| middle(way, index) }
        course.each_cons(2).map { |before, after| Length.new(@take_up + after - before) }
      end

      # @return [Length] the least possible largest difference that hides what can be hidden
      #
      #   five = {pleats: 5, take_up: Length.cm(14), space: Length.cm(10)}
      #   made = HiddenSeams.new(**five, lead: Length.cm(8), tolerance: Length.cm(2))
      #   made.largest_difference([Length.cm(23)]) # => 15 mm
      def largest_difference(seams) = Length.new(best(seams.map(&:mm)).largest)

      private

      def best(seams)
        ends = [Bound.new(0, 0r), Bound.new(@pleats, 0r)]
        search(seams, Division.new(ends, ends, [], 0r), nil)
      end

      # Branch and bound: each seam in turn goes into a pleat within reach, or shows.
      def search(seams, way, best)
        return best if best && (way.rank <=> best.rank) >= 0
        return way if seams.empty?

        seam, *rest = seams
        choices(seam, way).each { |choice| best = search(rest, choice, best) }
        search(rest, Division.new(way.lower, way.upper, way.shown + [seam], way.largest), best)
      end

      def choices(seam, way)
        pleats_near(seam).filter_map { |pleat| extend(way, seam, pleat) }.sort_by(&:largest)
      end

      # A pleat can wander from its mean place by the tolerance for each pleat between it and the nearer end.
      def pleats_near(seam)
        (1..@pleats).select do |pleat|
          reach = [pleat, @pleats - pleat + 1].min * @tolerance
          start = mean_start(pleat)
          seam.between?(start - reach, start + @take_up + reach)
        end
      end

      def mean_start(pleat) = @lead + (pleat - 1) * (@take_up + @space)

      def extend(way, seam, pleat)
        upper = Bound.new(pleat - 1, seam - MARGIN.mm - mean_start(pleat))
        lower = Bound.new(pleat, seam + MARGIN.mm - mean_start(pleat) - @take_up)
        largest = [way.largest, *steps([lower], way.upper + [upper]), *steps(way.lower, [upper])].max
        Division.new(way.lower + [lower], way.upper + [upper], way.shown, largest) if largest <= @tolerance
      end

      # What each pair of a lower and an upper bound asks of the steps between; infinite where they clash in one place.
      def steps(lower, upper)
        lower.product(upper).map do |low, high|
          rise = low.value - high.value
          next 0r if rise <= 0
          next @tolerance + 1 if low.index == high.index

          rise / (low.index - high.index).abs
        end
      end

      # Half way between the highest and the lowest course: both keep the steps, so their mean does.
      def middle(way, index)
        high = way.upper.map { |bound| bound.value + way.largest * (index - bound.index).abs }.min
        low = way.lower.map { |bound| bound.value - way.largest * (index - bound.index).abs }.max
        (high + low) / 2
      end
    end
  end
end
