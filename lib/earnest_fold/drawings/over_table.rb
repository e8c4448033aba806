# frozen_string_literal: true

module EarnestFold
  module Drawings
    # How a curtain that is wider than the table moves over it, section by section from its leading edge: the whole
    # width to scale with its seams, the table under the section that lies on it, what is done already, and what still
    # hangs over the edge.
    class OverTable
      R = Reckoning
      WIDTH, LEFT, TOP, EACH, TALL = 760, 90, 30, 54, 26
      NEAR_THE_EDGE = 60

      # @param curtain [Reckoning::Curtain]
      # @param table [Reckoning::Length] its length
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      def initialize(curtain, table, unit, colour:)
        @curtain, @table, @unit, @colour = curtain, table, unit, colour
        @ends = R::MakingUp::Sections.of(curtain, table)
        @scale = Scale.fitting([WIDTH - LEFT - 20, 10_000], [[curtain.flat_width, table].max, R::Length.mm(1)])
        @svg = Svg.new(WIDTH, TOP + EACH * @ends.size + 10, says: says, css: "drawing over-table")
      end

      # @return [String]
      #
      #   size(Drawings::OverTable.new(curtain, Length.cm(180), Units::CM, colour: "#c8b79a")) # => "760 148"
      def to_s
        @ends.each_with_index { |to, index| section(index, index.zero? ? R::Length::ZERO : @ends[index - 1], to) }
        @svg.text(LEFT, 16, Words.say("drawings.leading_edge"), class: "edge", text_anchor: "start")
        @svg.to_s
      end

      private

      def says = Words.say("drawings.over_table", sections: @ends.size, unit: @unit)

      def x(at) = LEFT + @scale[at]

      # The last one's figure ends with the drawing.
      def told(at, y)
        aside = x(at) > WIDTH - NEAR_THE_EDGE
        place = aside ? WIDTH - 2 : x(at)
        @svg.text(place, y, Words.length(at, @unit), class: "figure", text_anchor: aside ? "end" : "middle")
      end

      def section(index, from, to)
        y = TOP + EACH * index
        @svg.rect(x(from) - 3, y + TALL - 2, @scale[[to - from, @table].min] + 6, 8, class: "table-under")
        @svg.rect(LEFT, y, @scale[@curtain.flat_width], TALL, fill: Tint.of(@colour), class: "cloth hanging-over")
        @svg.rect(LEFT, y, @scale[from], TALL, class: "done-already") if from.positive?
        @svg.rect(x(from), y, @scale[to - from], TALL, fill: Tint.of(@colour), class: "cloth on-now")
        @curtain.task.seams.each { |seam| @svg.line(x(seam), y, x(seam), y + TALL, class: "stitch") }
        @svg.text(LEFT - 10, y + 18, (index + 1).to_s, class: "figure", text_anchor: "end")
        told(to, y + TALL + 18)
      end
    end
  end
end
