# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A gathered heading to scale: in elevation with its hooks, and the frill that puffs up above it.
    class Gathers
      R = Reckoning
      WIDTH, HEIGHT, SIDE, TOP = 700, 216, 46, 72
      # No frill is drawn higher.
      MOST_FRILL = 60
      # One gather takes about this much of the heading as it hangs.
      GATHER = R::Length.mm(25)

      # @param heading [Reckoning::Heading]
      # @param curtain [Reckoning::Curtain]
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      def initialize(heading, curtain, unit, colour:)
        @curtain, @unit, @colour = curtain, unit, colour
        @scale = Scale.fitting([WIDTH - 2 * SIDE, 260], [curtain.finished_width, R::Length.mm(300)])
        @hooks = heading.marks(curtain.task, curtain.heading)
        @frill = heading.frill_above ? [@scale[heading.frill_above], MOST_FRILL].min : 0
        @svg = Svg.new(WIDTH, HEIGHT + @frill, says: says, css: "drawing gathers")
      end

      # @return [String]
      #
      #   size(Drawings::Gathers.new(treatment.heading, curtain, Units::CM, colour: "#c8b79a")) # => "700 216"
      def to_s
        frill if @frill.positive?
        elevation
        hooks
        @svg.to_s
      end

      private

      def says
        Words.say(
          "drawings.gathers",
          hand: Words.hand(@curtain.hand),
          finished: @curtain.finished_width,
          flat: @curtain.flat_width,
          hooks: @hooks.size,
          unit: @unit
        )
      end

      def leads_right? = @curtain.leads == :right

      def width = @scale[@curtain.finished_width]

      def left = (WIDTH - width) / 2

      def x(distance) = leads_right? ? left + width - @scale[distance] : left + @scale[distance]

      def gathers = [(@curtain.finished_width / GATHER).round, 2].max

      # Where the top edge is drawn.
      def top = TOP + @frill

      # Puffed between the gathers: its fold is never pressed.
      def frill
        step = width / gathers
        puffs = Array.new(gathers) { ["q", step / 2, -10, step, 0] }
        @svg.path(["M", left, top, "V", TOP, *puffs.flatten, "V", top, "Z"], fill: Tint.of(@colour), class: "cloth")
      end

      def elevation
        @svg.rect(left, top, width, 130, fill: Tint.of(@colour), class: "cloth")
        folds = (1...gathers).map { |index| [left + width * index / gathers, index.even? ? 2 : -2] }
        @svg.path(folds.flat_map { |at, _| ["M", at, top, "v", 30] }, class: "gather")
        @svg.path(folds.flat_map { |at, sway| ["M", at, top + 30, "q", sway, 50, 0, 98] }, class: "fold")
        @svg.line(left, top + 30, left + width, top + 30, class: "stitch")
        @svg.line(left, top + 6, left + width, top + 6, class: "stitch")
      end

      # Each hook with its running distance, as many as can be read.
      def hooks
        every = [(HeadingMarks.apart(@unit) / [step, 1].max.to_f).ceil, 1].max
        @svg.path(
          @hooks.flat_map { |mark| ["M", x(mark.at), top - 8, "V", top + 14, "q", 0, 5, 4, 5, "q", 4, 0, 4, -5] },
          class: "hook"
        )
        @hooks.each_with_index do |mark, index|
          at = x(mark.at)
          next unless (index % every).zero? || index == @hooks.size - 1
          next if index != @hooks.size - 1 && @hooks.size - 1 - index < every

          @svg.line(at, 50, at, 60, class: "dim")
          @svg.text(at, 44, mark.at.zero? ? "0" : Words.length(mark.at, @unit), class: "figure", text_anchor: "middle")
        end
        words = [Words.say("drawings.return_edge"), Words.say("drawings.leading_edge")]
        words.reverse! unless leads_right?
        @svg.text(left, 19, words.first, class: "edge", text_anchor: "start")
        @svg.text(left + width, 19, words.last, class: "edge", text_anchor: "end")
      end

      def step = (@hooks.size > 1) ? width / (@hooks.size - 1) : width
    end
  end
end
