# frozen_string_literal: true

module EarnestFold
  module Drawings
    # Any heading to scale from the marks it answers: pleats and spaces, hooks, eyelets, rings, tabs or a pocket, with
    # running distances from the leading edge and the seams between the widths. On the flat curtain or as it hangs, as
    # the marks are.
    class HeadingMarks
      WIDTH, HEIGHT, SIDE, TOP, DEEP = 700, 232, 46, 84, 96
      APART, APART_IN_INCHES = 52, 68
      private_constant :APART, :APART_IN_INCHES

      # @param unit [Reckoning::Unit]
      # @return [Integer] so far apart two distances can be read on a phone too; a fraction takes more
      #
      #   Drawings::HeadingMarks.apart(Units::CM) # => 52
      def self.apart(unit) = unit.inches? ? APART_IN_INCHES : APART

      # @param heading [Reckoning::Heading]
      # @param curtain [Reckoning::Curtain]
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      def initialize(heading, curtain, unit, colour:)
        @heading, @curtain, @unit, @colour = heading, curtain, unit, colour
        @marks = heading.marks(curtain.task, curtain.heading)
        @flat = @marks.all? { |mark| mark.along == :flat }
        @whole = @flat ? curtain.flat_width : curtain.finished_width
        @scale = Scale.fitting([WIDTH - 2 * SIDE, 10_000], [@whole, Reckoning::Length.mm(1)])
        @svg = Svg.new(WIDTH, HEIGHT, says: says, css: "drawing heading-marks")
      end

      # @return [String]
      #
      #   size(Drawings::HeadingMarks.new(treatment.heading, curtain, Units::CM, colour: "#c8b79a")) # => "700 232"
      def to_s
        @svg.hatch("flat-end", [:back])
        @svg.rect(left, TOP, width, DEEP, fill: Tint.of(@colour), class: "cloth")
        @marks.each { |mark| draw(mark) }
        seams if @flat
        distances
        edges
        @svg.to_s
      end

      private

      def says
        Words.say(
          "drawings.heading",
          heading: Words.say("headings.#{@heading.kind}"),
          hand: Words.hand(@curtain.hand),
          marks: @marks.size,
          width: @whole,
          unit: @unit
        )
      end

      def leads_right? = @curtain.leads == :right

      def width = @scale[@whole]

      def left = (WIDTH - width) / 2

      def x(distance) = leads_right? ? left + width - @scale[distance] : left + @scale[distance]

      def draw(mark)
        from, to = [mark.at, mark.to || mark.at].map { |distance| x(distance) }.minmax
        case mark.kind
        when :pleat then pleat(from, to)
        when :overlap, :return then @svg.rect(from, TOP, to - from, DEEP, fill: "url(#flat-end)")
        when :tab then @svg.rect(from, TOP - 22, to - from, 22, fill: Tint.of(@colour), class: "cloth")
        when :pocket, :buckram then @svg.line(from, TOP + 26, to, TOP + 26, class: "stitch")
        when :eyelet then @svg.circle(from, TOP + 16, [@scale[Reckoning::Length.mm(20)], 3].max, class: "eyelet")
        when :ring then @svg.circle(from, TOP - 9, 6, class: "ring")
        when :hook then @svg.path(["M", from, TOP - 6, "V", TOP + 14, "q", 0, 5, 4, 5, "q", 4, 0, 4, -5], class: "hook")
        end
      end

      def pleat(from, to)
        @svg.rect(from, TOP, to - from, DEEP, class: "pleat")
        third = (to - from) / 3
        @svg.path(["M", from + third, TOP, "v", 34, "M", to - third, TOP, "v", 34], class: "fold")
      end

      def seams
        @curtain.task.seams.each do |seam|
          [-1.5, 1.5].each { |aside| @svg.line(x(seam) + aside, TOP, x(seam) + aside, TOP + DEEP, class: "seam") }
          @svg.text(x(seam), TOP + DEEP + 17, Words.length(seam, @unit), class: "figure soft", text_anchor: "middle")
        end
      end

      # As many as can be read, counted from the leading edge; the other end always.
      def distances
        ticks = (@marks.map(&:at) + [Reckoning::Length::ZERO, @whole]).uniq.sort
        last = nil
        ticks.each do |distance|
          next unless distance == @whole || last.nil? || [last, x(@whole)].all? { |one| apart?(x(distance), one) }

          last = x(distance)
          @svg.line(last, TOP - 38, last, TOP - 28, class: "dim")
          @svg.text(
            last,
            TOP - 44,
            distance.zero? ? "0" : Words.length(distance, @unit),
            class: "figure",
            text_anchor: "middle"
          )
        end
      end

      def apart?(one, other) = (one - other).abs >= HeadingMarks.apart(@unit)

      def edges
        words = [Words.say("drawings.return_edge"), Words.say("drawings.leading_edge")]
        words.reverse! unless leads_right?
        @svg.text(left, 19, words.first, class: "edge", text_anchor: "start")
        @svg.text(left + width, 19, words.last, class: "edge", text_anchor: "end")
        @svg.text(
          left,
          TOP + DEEP + 44,
          Words.say(@flat ? "drawings.as_flat" : "drawings.as_hung"),
          class: "edge",
          text_anchor: "start"
        )
      end
    end
  end
end
