# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A bottom corner that is folded slantwise, from the back and to scale: the side's turning, the hem, and the fold
    # from where the one shows to where the other does. Nothing is cut away.
    class Mitre
      R = Reckoning
      SIZE = 240
      LEFT, TOP = 70, 24

      # @param step [Reckoning::MakingUp::Step]
      # @return [Boolean] whether it mitres a corner
      #
      #   steps.map { |step| Drawings::Mitre.draws?(step) }.count(true) # => 0
      def self.draws?(step) = step.figures.key?(:side_fold) && step.figures.key?(:hem_depth)

      # @param step [Reckoning::MakingUp::Step]
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      def initialize(step, unit, colour:)
        @unit, @colour = unit, colour
        @hem, @side = step.figures.values_at(:hem_depth, :side_fold)
        longest = [@hem, @side].max * 2
        @scale = Scale.fitting([SIZE - LEFT - 20, SIZE - TOP - 50], [longest, longest])
        @wide = @tall = @scale[longest]
        @svg = Svg.new(SIZE + 140, SIZE, says: says, css: "drawing mitre")
      end

      # @return [String]
      def to_s
        foot = TOP + @tall
        inner_x, inner_y = LEFT + @scale[@side], foot - @scale[@hem]
        @svg.rect(LEFT, TOP, @wide, @tall, fill: Tint.of(@colour), class: "cloth face-down")
        @svg.line(inner_x, TOP, inner_x, inner_y, class: "stitch")
        @svg.line(inner_x, inner_y, LEFT + @wide, inner_y, class: "stitch")
        @svg.line(LEFT, foot, inner_x, inner_y, class: "mitre-fold")
        @svg.path(["M", LEFT, TOP, "V", foot, "H", LEFT + @wide], class: "outline open")
        @svg.text(LEFT - 8, inner_y + @scale[@hem] / 2, Words.length(@hem, @unit), class: "figure", text_anchor: "end")
        @svg.text((LEFT + inner_x) / 2, foot + 18, Words.length(@side, @unit), class: "figure", text_anchor: "middle")
        @svg.text(LEFT + @wide + 12, inner_y + 4, Words.say("drawings.hem_edge"), class: "edge", text_anchor: "start")
        @svg.text(inner_x + 8, TOP + 14, Words.say("drawings.side_edge"), class: "edge", text_anchor: "start")
        @svg.to_s
      end

      private

      def says = Words.say("drawings.mitre", side: @side, hem: @hem, unit: @unit)
    end
  end
end
