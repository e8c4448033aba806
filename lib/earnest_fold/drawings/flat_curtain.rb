# frozen_string_literal: true

module EarnestFold
  module Drawings
    # One curtain flat, its face towards the room, to scale: widths and seams, turnings, and where the pattern falls.
    class FlatCurtain
      R = Reckoning
      WIDTH, HIGHEST = 700, 372
      MARGIN = {left: 62, right: 20, top: 52, bottom: 12}.freeze

      # @param reckoning [Reckoning::TreatmentReckoning]
      # @param curtain [Reckoning::Curtain]
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      # @param lining [Boolean] lay the lining over it
      def initialize(reckoning, curtain, unit, colour:, lining: false)
        @reckoning, @curtain, @unit, @colour, @with_lining = reckoning, curtain, unit, colour, lining
        @cut = reckoning.drop_cut
        room = [WIDTH - MARGIN[:left] - MARGIN[:right], HIGHEST - MARGIN[:top] - MARGIN[:bottom]]
        @scale = Scale.fitting(room, [curtain.flat_width, @cut.finished])
        @svg = Svg.new(WIDTH, MARGIN[:top] + height + MARGIN[:bottom], says: says, css: "drawing flat")
      end

      # @return [String]
      def to_s
        @svg.hatch("hem-#{hand}", [:forward]).hatch("head-#{hand}", [:back])
        @svg.rect(left, top, width, height, fill: @colour)
        @svg.clip("curtain-#{hand}", left, top, width, height) { pattern } if @cut.cloth.repeats? && !@cut.sideways
        turnings
        seams
        lining if @with_lining && @reckoning.lining
        @svg.rect(left, top, width, height, class: "outline")
        running_distances
        edges
        drop_dimension
        names
        @svg.to_s
      end

      private

      def says
        Words.say("drawings.flat", hand: @curtain.hand, widths: Words.widths(@curtain.widths), flat: @curtain.flat_width, drop: @cut.finished, unit: @unit)
      end

      def hand = @curtain.hand.tr(" ", "-")

      def leads_right? = @curtain.leads == :right

      def width = @scale[@curtain.flat_width]

      def height = @scale[@cut.finished]

      def left = MARGIN[:left] + (WIDTH - MARGIN[:left] - MARGIN[:right] - width) / 2

      def top = MARGIN[:top]

      # @param distance [Reckoning::Length] from the leading edge
      def x(distance) = leads_right? ? left + width - @scale[distance] : left + @scale[distance]

      def turnings
        making = @reckoning.treatment.making
        band(top, @scale[[@cut.top, @cut.finished].min], "head") if @cut.top.positive?
        depth = @scale[making.hem.depth]
        band(top + height - depth, depth, "hem") if making.hem.taken.positive?
        side = @scale[making.side.depth]
        [left + side, left + width - side].each { |at| @svg.line(at, top, at, top + height, class: "turning") } if side.positive?
      end

      def band(from, depth, kind)
        @svg.rect(left, from, width, depth, fill: "url(##{kind}-#{hand})")
        edge = (kind == "head") ? from + depth : from
        @svg.line(left, edge, left + width, edge, class: "fold-line #{kind}")
      end

      def seams
        @curtain.task.seams.each do |seam|
          [-1.5, 1.5].each { |aside| @svg.line(x(seam) + aside, top, x(seam) + aside, top + height, class: "seam") }
        end
      end

      # Each width's repeat lines, and a sprig on each: an odd width of a half-drop stands half a repeat lower.
      def pattern
        bounds = [R::Length::ZERO, *@curtain.task.seams, @curtain.flat_width]
        bounds.each_cons(2).with_index do |(from, to), index|
          x1, x2 = [x(from), x(to)].minmax
          lines = repeat_lines(phase(index))
          @svg.path(lines.flat_map { |y| ["M", x1, y, "H", x2] }, class: "repeat")
          @svg.path(lines.flat_map { |y| sprigs(x1, x2, y) }, class: "motif")
        end
      end

      def sprigs(x1, x2, y)
        across = @cut.cloth.horizontal_repeat.positive? ? @scale[@cut.cloth.horizontal_repeat] : (x2 - x1) / 2
        count = [((x2 - x1) / across).round, 1].max
        tall = [@scale[@cut.cloth.vertical_repeat] * 0.5, 44].min
        Array.new(count) { |index| sprig(x1 + (x2 - x1) * (index + 0.5) / count, y, tall) }.flatten
      end

      def sprig(x, y, tall)
        ["M", x, y, "q", tall * -0.12, tall * -0.5, tall * -0.3, tall * -0.8, "M", x, y, "v", -tall, "M", x, y, "q", tall * 0.12, tall * -0.4, tall * 0.3, tall * -0.7]
      end

      # @param phase [String] "A" or "B"
      # @return [Array<Float>] where the repeat lines of a width fall
      def repeat_lines(phase)
        repeat = @cut.cloth.vertical_repeat
        start = @reckoning.pattern_start + ((phase == "B") ? repeat / 2 : R::Length::ZERO)
        first = repeat - (start + @cut.top_fold) % repeat
        count = ((@cut.finished / @cut.shrinking - first) / repeat).floor + 1
        Array.new([count, 0].max) { |index| top + @scale[(first + repeat * index) * @cut.shrinking] }
      end

      def phase(index)
        across = @reckoning.treatment.pattern.meet == "across" && @curtain.hand == "right"
        R::Repeat.phase(index, @reckoning.treatment.width_rule.next_shifts?, across)
      end

      def lining
        made = @reckoning.lining
        inset, lift = made.lining.inset, made.lining.lift
        x1, x2 = [x(inset), x(@curtain.flat_width - inset)].minmax
        below = @scale[@cut.finished - lift]
        @svg.rect(x1, top + @scale[[inset, lift].min], x2 - x1, below - @scale[[inset, lift].min], class: "lining")
        @svg.text((x1 + x2) / 2, top + below - 34, Words.say("drawings.lining"), class: "label", text_anchor: "middle")
      end

      # From the leading edge, never as a chain of gaps.
      def running_distances
        [R::Length::ZERO, *@curtain.task.seams, @curtain.flat_width].each do |distance|
          at = x(distance)
          @svg.line(at, top - 20, at, top - 8, class: "dim")
          @svg.text(at, top - 26, distance.zero? ? "0" : Words.length(distance, @unit), class: "figure", text_anchor: "middle")
        end
        @svg.line(left, top - 14, left + width, top - 14, class: "dim")
      end

      def edges
        aside = @scale[@reckoning.treatment.making.side.depth] + 7
        {leads_right? => Words.say("drawings.leading_edge"), !leads_right? => Words.say("drawings.return_edge")}.each do |at_right, words|
          @svg.text(at_right ? left + width - aside : left + aside, top + @scale[@cut.top] + 18, words, class: "edge", text_anchor: at_right ? "end" : "start")
        end
      end

      def drop_dimension
        at = left - 18
        Dimension.down(@svg, at, top, top + height)
        middle = top + height / 2
        @svg.text(at - 9, middle, Words.say("drawings.finished_drop", drop: Words.length(@cut.finished, @unit)), class: "figure", text_anchor: "middle",
          transform: "rotate(-90 #{(at - 9).round(1)} #{middle.round(1)})")
      end

      def names
        bounds = [R::Length::ZERO, *@curtain.task.seams, @curtain.flat_width]
        bounds.each_cons(2).with_index do |(from, to), index|
          words = Words.say((index + 1 > @curtain.widths) ? "drawings.half_width" : "drawings.width", number: index + 1)
          words += " · #{phase(index)}" if @cut.cloth.half_drop?
          label((x(from) + x(to)) / 2, top + height * 0.45, words)
        end
      end

      def label(x, y, words)
        wide = words.size * 7.2 + 18
        @svg.rect(x - wide / 2, y - 15, wide, 26, rx: 3, class: "label-ground")
        @svg.text(x, y + 3, words, class: "label", text_anchor: "middle")
      end
    end
  end
end
