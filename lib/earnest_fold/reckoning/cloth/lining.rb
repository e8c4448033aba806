# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A lining reckoned: its cut along the cloth, the width wanted behind each curtain, and the widths for it.
    class LiningCut < Value.define(:lining, :drop_cut, :rule, :targets, :counts, :shares)
      # @param treatment [Treatment]
      # @param drop [Length] the curtain's finished drop
      # @param curtains [Array<Curtain>]
      # @return [LiningCut]
      #
      #   LiningCut.of(lined, Length.cm(210), lined.curtains).counts # => [(2/1), (2/1)]
      def self.of(treatment, drop, curtains)
        lining = treatment.lining
        rule = treatment.lining_rule
        targets = treatment.lining_targets
        counts = targets.map do |target|
          sideways?(lining) ? 1r : rule.least_for(lining.accepted(target), treatment.making.step)
        end
        new(lining: lining, drop_cut: drop_cut(lining, drop), rule: rule, targets: targets, counts: counts,
          shares: WidthsToCut.shares(curtains, counts))
      end

      # @param treatment [Treatment] one that is lined
      # @return [Widths] what widths of the lining give
      #
      #   LiningCut.rule(lined).cloth.id # => "sateen"
      def self.rule(treatment)
        lining = treatment.lining
        Widths.new(cloth: lining.cloth, seam: lining.seam || treatment.making.seam, side: lining.side_turn)
      end

      # @param lining [Lining]
      # @param drop [Length] the face's, finished
      # @return [DropCut]
      #
      #   LiningCut.drop_cut(lined.lining, lined.finished_drop).cut_drop # => 2243 mm
      def self.drop_cut(lining, drop)
        DropCut.new(
          cloth: lining.cloth,
          finished: drop - lining.lift,
          top: lining.top,
          hem: lining.hem.taken,
          squaring: Length::ZERO,
          sideways: sideways?(lining)
        )
      end

      # @param lining [Lining]
      # @return [Boolean] whether its cloth runs along the track
      #
      #   LiningCut.sideways?(lined.lining) # => false
      def self.sideways?(lining) = lining.run == "railroad"

      # @return [Cloth]
      #
      #   lined.reckon.lining.cloth.id # => "sateen"
      def cloth = lining.cloth

      # @return [Array<WidthCut>] its widths
      #
      #   lined.reckon.lining.cuts.size # => 4
      def cuts = WidthsToCut.new(cloth, false, shares).list

      # @return [Boolean] whether its cloth runs along the track
      #
      #   lined.reckon.lining.sideways? # => false
      def sideways? = LiningCut.sideways?(lining)

      # @param step [Rational] 1 or 1/2
      # @return [Array<Rational>] what its counts are rounded up from
      #
      #   lined.reckon.lining.amounts(1r) # => [(43/45), (43/45)]
      def amounts(step) =
        sideways? ? [] : targets.flat_map { |target| rule.amounts(lining.accepted(target), step) }

      # @return [Integer] widths of cloth to cut; sideways, the number of linings
      #
      #   lined.reckon.lining.widths_total # => 4
      def widths_total = cuts.size

      # @return [Array<Length>, nil] per curtain, where the cloth runs sideways
      #
      #   lined.reckon.lining.lengths_along # => nil
      def lengths_along = sideways? ? widths_made.map { |width| width / cloth.after_shrinking } : nil

      # @return [Rational, nil] kilograms
      #
      #   lined.reckon.lining.mass.round(2).to_s # => "299/100"
      def mass = Mass.sum(widths_made.map { |width| Mass.of(cloth, width, drop_cut.made) })

      private

      def widths_made = targets.map { |target| target + lining.side_turn * 2 }
    end

    # An interlining reckoned: cut to the finished size, without hems, joins lapped within what is over.
    class InterliningCut < Value.define(:cloth, :drop_cut, :rule, :targets, :counts, :shares)
      # @return [InterliningCut]
      #
      #   InterliningCut.of(interlined, Length.cm(210), interlined.curtains).counts # => [(2/1), (2/1)]
      def self.of(treatment, drop, curtains)
        cloth = treatment.interlining.cloth
        rule = Widths.new(cloth: cloth, seam: Length::ZERO, side: Length::ZERO)
        targets = curtains.map(&:flat_width)
        counts = targets.map { |target| rule.least_for(target, treatment.making.step) }
        new(cloth: cloth, drop_cut: drop_cut(cloth, drop), rule: rule, targets: targets, counts: counts,
          shares: WidthsToCut.shares(curtains, counts))
      end

      # @api private
      def self.drop_cut(cloth, drop)
        nothing = Length::ZERO
        DropCut.new(cloth: cloth, finished: drop, top: nothing, hem: nothing, squaring: nothing, sideways: false)
      end

      # @return [Array<WidthCut>] its widths
      #
      #   interlined.reckon.interlining.cuts.size # => 4
      def cuts = WidthsToCut.new(cloth, false, shares).list

      # @param step [Rational] 1 or 1/2
      # @return [Array<Rational>] what its counts are rounded up from
      #
      #   interlined.reckon.interlining.amounts(1r).map { |amount| amount.round(2) } # => [(91/100), (91/100)]
      def amounts(step) = targets.flat_map { |target| rule.amounts(target, step) }

      # @return [Integer] widths of cloth to cut
      #
      #   interlined.reckon.interlining.widths_total # => 4
      def widths_total = cuts.size

      # @return [Boolean] an interlining always runs up the drop
      #
      #   interlined.reckon.interlining.sideways? # => false
      def sideways? = false

      # @return [Rational, nil] kilograms
      #
      #   interlined.reckon.interlining.mass.round(2) # => (14/5)
      def mass = Mass.sum(targets.map { |width| Mass.of(cloth, width, drop_cut.finished) })
    end
  end
end
