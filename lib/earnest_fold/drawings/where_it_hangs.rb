# frozen_string_literal: true

module EarnestFold
  module Drawings
    # Where a width hangs: the window's curtains closed, seen from the room, each in its widths from the leading edge,
    # one of them marked.
    class WhereItHangs
      R = Reckoning
      WIDTH, HIGHEST = 420, 190
      MARGIN = {side: 14, top: 22, bottom: 28}.freeze

      # @param reckoning [Reckoning::TreatmentReckoning]
      # @param cut [Reckoning::Cutting::Cut]
      # @param colour [String]
      # @param counts [Hash{String => Rational}] widths by curtain, of the part that is cut
      def initialize(reckoning, cut, colour, counts)
        @reckoning, @cut, @colour, @counts = reckoning, cut, colour, counts
        whole = reckoning.curtains.map(&:finished_width).reduce(:+)
        @scale = Scale.fitting(
          [WIDTH - 2 * MARGIN[:side] - 6 * (reckoning.curtains.size - 1), HIGHEST - MARGIN[:top] - MARGIN[:bottom]],
          [whole, reckoning.finished_drop]
        )
        @svg = Svg.new(WIDTH, HIGHEST, says: says, css: "drawing hangs")
      end

      # @return [String]
      #
      #   counts = Cutting::Demand.counts(reckoning, cloth)
      #   size(Drawings::WhereItHangs.new(reckoning, cuts.first, "#c8b79a", counts)) # => "420 190"
      def to_s
        hung = @reckoning.curtains.sum { |curtain| @scale[curtain.finished_width] }
        left = (WIDTH - hung - 6 * (@reckoning.curtains.size - 1)) / 2
        @svg.line(left - 6, MARGIN[:top] - 6, WIDTH - left + 6, MARGIN[:top] - 6, class: "support thin")
        @reckoning.curtains.each { |curtain| left = curtain(curtain, left) + 6 }
        @svg.to_s
      end

      private

      def says =
        Words.say("drawings.hangs", hand: hands.map { |hand| Words.hand(hand) }.join(" + "), number: @cut.number)

      def hands = @cut.curtain.split(", ")

      def curtain(curtain, left)
        wide, tall = @scale[curtain.finished_width], @scale[@reckoning.finished_drop]
        @svg.rect(left, MARGIN[:top], wide, tall, fill: Tint.of(@colour), class: "cloth")
        strips(curtain, left, wide, tall)
        @svg.rect(left, MARGIN[:top], wide, tall, class: "outline")
        @svg.text(
          left + wide / 2,
          MARGIN[:top] + tall + 18,
          Words.hand(curtain.hand),
          class: "edge",
          text_anchor: "middle"
        )
        left + wide
      end

      # Width 1 leads; a half hangs at the return edge.
      def strips(curtain, left, wide, tall)
        count = @counts.fetch(curtain.hand, 1r)
        each = wide / count.to_f
        count.ceil.times do |index|
          from, to = each * index, [each * (index + 1), wide].min
          from, to = wide - to, wide - from if curtain.leads == :right
          here = hands.include?(curtain.hand) && index + 1 == @cut.number
          @svg.rect(left + from, MARGIN[:top], to - from, tall, class: here ? "strip here" : "strip")
          if to - from > 12
            @svg.text(
              left + (from + to) / 2,
              MARGIN[:top] + tall / 2 + 6,
              (index + 1).to_s,
              class: here ? "figure" : "label",
              text_anchor: "middle"
            )
          end
        end
      end
    end
  end
end
