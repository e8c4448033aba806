# frozen_string_literal: true

module EarnestFold
  module Drawings
    # The window as it is measured, to scale: the support, the curtains that will hang, and where each length is
    # taken. What isn't measured yet is drawn dashed, in likely proportions. The fields stand round it, at the ends of
    # its leaders.
    class Elevation
      R = Reckoning
      WIDTH, HEIGHT = 760, 440
      LIKELY = {length: R::Length.mm(1800), reading: R::Length.mm(2140)}.freeze
      # What is drawn: lengths are nil where nobody has measured yet. `readings` by place (left, middle, right);
      # `spans` are the curtains' shares of the support (0 to 1), `overlap` how much they cross. `features` are what
      # is on the wall behind, by name; `stacks` where the curtains stand when drawn back (from, to).
      Given = R::Value.define(
        :length,
        :readings,
        :stand_up,
        :offset,
        :overlap,
        :shares,
        :return_left,
        :return_right,
        :colour,
        :kind,
        :features,
        :stacks
      )

      # @param measured [Given]
      # @param says [String]
      def initialize(measured, says:)
        @m = measured
        @length = measured.length || LIKELY[:length]
        @deepest = measured.readings.values.max || LIKELY[:reading]
        @shortest = measured.readings.values.min || LIKELY[:reading]
        @scale = Scale.fitting(
          [WIDTH - 200, HEIGHT - 104],
          [@length, @deepest + [measured.stand_up, R::Length::ZERO].max]
        )
        @svg = Svg.new(WIDTH, HEIGHT, says: says, css: "drawing elevation")
      end

      # @return [String]
      def to_s
        floor
        features
        curtains
        stacks
        support
        drops
        length_dimension
        ends
        @svg.to_s
      end

      private

      def left = @left ||= (WIDTH - @scale[@length]) / 2

      def right = @right ||= left + @scale[@length]

      # The height of what was measured from.
      def datum = @datum ||= 56 + @scale[[@m.stand_up, R::Length::ZERO].max]

      def top_edge = @top_edge ||= datum - @scale[@m.stand_up]

      def hem_edge = @hem_edge ||= datum + @scale[@shortest + @m.offset]

      def floor
        at = places.map { |place, x| [x, datum + @scale[@m.readings[place] || @deepest]] }
        start, finish = at.first.last, at.last.last
        @svg.path(["M", left - 70, start, *at.flat_map { |x, y| ["L", x, y] }, "L", right + 70, finish], class: "floor")
      end

      def places =
        @places ||= {
          "left" => left + (right - left) * 0.1,
          "middle" => (left + right) / 2,
          "right" => right - (right - left) * 0.1
        }

      def curtains
        overlap = @scale[@m.overlap] / 2
        @m.shares.each_with_index do |(from, to), index|
          x1 = left + (right - left) * from - (index.positive? ? overlap : 0)
          x2 = left + (right - left) * to + ((index < @m.shares.size - 1) ? overlap : 0)
          curtain(x1, x2)
        end
      end

      # Behind the curtains, so drawn before them; the cloth lets them shine through.
      def features
        @m.features.each do |name, feature|
          x, y = left + @scale[feature.from_left], datum + @scale[feature.down]
          wide, tall = [@scale[feature.width], 5].max, [@scale[feature.height], 5].max
          @svg.rect(x, y, wide, tall, class: "feature #{name}")
          if name == :glass
            @svg.path(["M", x + wide / 2, y, "v", tall, "M", x, y + tall / 2, "h", wide], class: "glazing")
          end
        end
      end

      # What the drawn-back curtains cover, at the foot, where it hides nothing.
      def stacks
        @m.stacks.each do |from, to|
          x1, x2 = left + @scale[from], left + @scale[to]
          @svg.rect(x1, top_edge, x2 - x1, hem_edge - top_edge, class: "stack")
          Dimension.across(@svg, x1, x2, hem_edge - 12)
        end
      end

      def curtain(x1, x2)
        @svg.rect(
          x1,
          top_edge,
          x2 - x1,
          hem_edge - top_edge,
          fill: Tint.of(@m.colour),
          class: @m.length ? "cloth sheer" : "cloth likely"
        )
        folds = [((x2 - x1) / 11).round, 2].max
        @svg.path(
          (1...folds).flat_map { |fold| ["M", x1 + (x2 - x1) * fold / folds, top_edge + 3, "V", hem_edge - 1] },
          class: "fold"
        )
        @svg.line(x1, hem_edge, x2, hem_edge, class: "hem-edge")
      end

      def support
        supports.each do |from, to|
          @svg.line(from, datum, to, datum, class: "support #{@m.kind}")
          [from, to].each { |x| @svg.circle(x, datum, 5, class: "finial") } if %w[pole rod].include?(@m.kind)
        end
        turn_back(@m.return_left, left, -1)
        turn_back(@m.return_right, right, 1)
      end

      # One from end to end; a dress pair hangs from two, with the window between them.
      def supports
        ends = @m.shares.map { |share| share.map { |part| left + (right - left) * part } }
        (ends.size == 2 && ends.first.last < ends.last.first) ? ends : [[left, right]]
      end

      def turn_back(turn, x, side)
        return if turn.zero?

        reach = [@scale[turn], 8].max
        @svg.path(["M", x, datum, "l", side * reach, -reach * 0.6], class: "support thin")
      end

      # Each drop with its leader to the field below, at a sixth, a half and five sixths of the width.
      def drops
        {"left" => 1, "middle" => 3, "right" => 5}.each do |place, sixths|
          x = places[place]
          foot = datum + @scale[@m.readings[place] || @deepest]
          Dimension.down(@svg, x, datum, foot, css: @m.readings[place] ? "dim" : "dim likely")
          @svg.path(["M", x, foot, "L", WIDTH * sixths / 6, HEIGHT - 14, "V", HEIGHT], class: "leader")
        end
      end

      def length_dimension
        y = [top_edge, datum].min - 22
        Dimension.across(@svg, left, right, y, css: @m.length ? "dim" : "dim likely")
        @svg.path(["M", (left + right) / 2, y, "V", 0], class: "leader")
      end

      # Leaders to the returns above at either side; to the stand-up and the offset at the right.
      def ends
        @svg.path(["M", left - 4, datum - 4, "L", WIDTH / 6, 14, "V", 0], class: "leader")
        @svg.path(["M", right + 4, datum - 4, "L", WIDTH * 5 / 6, 14, "V", 0], class: "leader")
        gap(right + 34, top_edge, datum)
        gap(right + 34, hem_edge, datum + @scale[@shortest])
      end

      def gap(x, one, other)
        Dimension.down(@svg, x, *[one, other].minmax) if (one - other).abs >= 2
        @svg.path(["M", x + 8, (one + other) / 2, "H", WIDTH], class: "leader")
      end
    end
  end
end
