# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # One width to be cut: for which curtain, its number from the leading edge, and its phase in the repeat. A width
    # slit for two curtains names both ("left, right").
    WidthCut = Value.define(:curtain, :number, :phase)

    # The widths of a treatment, halves taken two from one width where the cloth allows: "widths to cut" in the rules.
    class WidthsToCut
      # One curtain's share.
      Share = Value.define(:hand, :leads, :count, :across)
      Half = Struct.new(:hand, :leads, :number, :phase)

      # @param curtains [Array<Curtain>]
      # @param counts [Array<Rational>] of each
      # @return [Array<Share>] of what runs alike in all of them
      #
      #   WidthsToCut.shares(reckoning.curtains, [2r, 5/2r]).map(&:count) # => [(2/1), (5/2)]
      def self.shares(curtains, counts) =
        curtains.zip(counts).map do |curtain, count|
          Share.new(hand: curtain.hand, leads: curtain.leads, count: count, across: false)
        end

      # @param cloth [Cloth]
      # @param shifts [Boolean] whether each next width stands half a repeat lower
      # @param shares [Array<Share>]
      def initialize(cloth, shifts, shares)
        @cloth, @shifts, @shares = cloth, shifts, shares
      end

      # @return [Array<WidthCut>] whole widths by curtain, then the slit ones
      #
      #   WidthsToCut.new(cloth, false, WidthsToCut.shares(reckoning.curtains, [2r, 2r])).list.size # => 4
      def list = whole + slit

      private

      def whole
        @shares.flat_map do |share|
          Array.new(share.count.floor) do |index|
            WidthCut.new(curtain: share.hand, number: index + 1, phase: phase(share, index))
          end
        end
      end

      def slit
        halves.group_by(&:phase).flat_map do |phase, together|
          pairs(together).map do |pair|
            WidthCut.new(curtain: pair.map(&:hand).join(", "), number: pair.first.number, phase: phase)
          end
        end
      end

      # The half hangs at the return edge, beyond the whole widths.
      def halves
        @shares.reject { |share| share.count.denominator == 1 }.map do |share|
          index = share.count.floor
          Half.new(share.hand, share.leads, index + 1, phase(share, index))
        end
      end

      # On patterned or one-way cloth the two halves of a width carry opposite selvedges, so they suit a left-leading
      # and a right-leading curtain only.
      def pairs(halves)
        return halves.each_slice(2).to_a unless @cloth.handed?

        one, other = halves.partition { |half| half.leads == :right }
        one, other = other, one if other.size > one.size
        one.zip(other).map { |pair| pair.compact.sort_by { |half| halves.index(half) } }
      end

      def phase(share, index) = Repeat.phase(index, @shifts, share.across)
    end
  end
end
