# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What widths of one cloth give once they are joined: "Widths" in the rules. `seam` is at each joined edge, `side`
    # at each side. Counts are Rational and may end in a half; a half is a width slit down the middle.
    class Widths < Value.define(:cloth, :seam, :side)
      # @return [Length] what a joined edge loses (e)
      attr_reader :joined_edge
      # @return [Length] between two seams, before the pattern has its say
      attr_reader :between_seams
      # @return [Integer] whole horizontal repeats in what one more width adds (m); 0 for none
      attr_reader :repeats_across
      # @return [Length] what one more width adds (p)
      attr_reader :each_more
      # @return [Length] one width with its sides turned
      attr_reader :single
      # @return [Length] what the last half width adds beyond the whole ones' steps
      attr_reader :half_more

      # Everything else is asked of these many times over, so they are reckoned once.
      def initialize(cloth:, seam:, side:)
        @joined_edge = cloth.selvedge_in_seam ? [cloth.selvedge, seam].max : cloth.selvedge + seam
        @between_seams = cloth.width - @joined_edge * 2
        @repeats_across = cloth.horizontal_repeat.positive? ? (@between_seams / cloth.horizontal_repeat).floor : 0
        @each_more = @repeats_across.positive? ? cloth.horizontal_repeat * @repeats_across : @between_seams
        @single = cloth.width - (cloth.selvedge + side) * 2
        @half_more = cloth.width / 2 - cloth.selvedge - side * 2
        super
      end

      # @return [Boolean] no whole horizontal repeat fits between the seams
      #
      #   LiningCut.rule(lined).repeat_too_wide? # => false
      def repeat_too_wide? = cloth.horizontal_repeat.positive? && repeats_across.zero?

      # @param count [Rational]
      # @return [Length] flat width, sides turned
      #
      #   Widths.new(cloth: cloth, seam: Length.mm(15), side: Length.mm(50)).flat(2r) # => 2630 mm
      def flat(count)
        whole = count.floor
        (whole == count) ? single + each_more * (whole - 1) : half_more + each_more * whole
      end

      # @param needed [Length]
      # @param step [Rational] 1 or 1/2
      # @return [Rational] the least count that gives at least this
      #
      #   Widths.new(cloth: cloth, seam: Length.mm(15), side: Length.mm(50)).least_for(Length.cm(200), 1/2r) # => (2/1)
      def least_for(needed, step)
        whole = Rational([1, more_than_one(needed).ceil + 1].max)
        return whole if step == 1

        half = Rational([0, beside_a_half(needed).ceil].max) + 1/2r
        [whole, half].min
      end

      # @param needed [Length]
      # @param step [Rational] 1 or 1/2
      # @return [Array<Rational>] how many widths more than one, and how many beside a half where halves are cut, give
      #   exactly this: what {#least_for} rounds up
      #
      #   treatment.width_rule.amounts(Length.cm(200), 1) # => [(8/15)]
      def amounts(needed, step) = [more_than_one(needed), *((step == 1) ? [] : [beside_a_half(needed)])]

      # @return [Boolean] whether the next width stands half a repeat lower: an odd count of repeats across, or none
      #
      #   LiningCut.rule(lined).next_shifts? # => false
      def next_shifts? = cloth.half_drop? && (repeats_across.zero? || repeats_across.odd?)

      # Where the seams lie in the flat curtain, from the leading edge: what the pattern takes comes off the joining
      # width.
      # @param count [Rational]
      # @return [Array<Length>]
      #
      #   Widths.new(cloth: cloth, seam: Length.mm(15), side: Length.mm(50)).seams(2r) # => [1315 mm]
      def seams(count)
        first = cloth.width - cloth.selvedge - side - joined_edge
        Array.new(count.ceil - 1) { |index| first + each_more * index }
      end

      private

      def more_than_one(needed) = (needed - single) / each_more

      def beside_a_half(needed) = (needed - half_more) / each_more
    end
  end
end
