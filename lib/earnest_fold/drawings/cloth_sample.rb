# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A cloth off its roll, to scale: one width across with its selvedges, the top towards the left, its repeats with a
    # motif in each, and of a second width as much as shows how the two match. As much of it along as there is room.
    class ClothSample
      R = Reckoning
      WIDTH, HEIGHT = 760, 316
      MARGIN = {left: 74, top: 12, bottom: 44, right: 44}.freeze
      # How much of the second width is shown, and how far off it lies.
      BESIDE, APART = 0.3, 7
      # Motifs closer than this are drawn fewer, lines of repeats left out.
      LEAST = 7

      # @param cloth [Reckoning::Cloth]
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      # @param figures [Boolean] whether anybody has said how wide it is
      def initialize(cloth, unit, colour:, figures: true)
        @cloth, @unit, @colour, @figures = cloth, unit, colour, figures
        @scale = Scale.fitting([long, HEIGHT - MARGIN[:top] - MARGIN[:bottom] - APART], [shown, cloth.width * beside])
        @svg = Svg.new(WIDTH, HEIGHT, says: says, css: "drawing sample")
      end

      # @return [String]
      #
      #   size(Drawings::ClothSample.new(cloth, Units::CM, colour: "#c8b79a")) # => "760 316"
      def to_s
        roll
        width(0, wide)
        width(1, wide * BESIDE) if repeats?
        dimensions if @figures
        @svg.to_s
      end

      private

      def says = Words.say("drawings.sample", width: @cloth.width, repeat: @cloth.vertical_repeat, unit: @unit)

      # A repeat longer than the room is drawn smaller, so that one of them can be seen.
      def shown = [@cloth.vertical_repeat * 5/4r, R::Length.mm(1)].max

      def beside = repeats? ? 1 + BESIDE.rationalize(1/100r) : 1

      def repeats? = @cloth.repeats?

      def long = WIDTH - MARGIN[:left] - MARGIN[:right]

      def left = MARGIN[:left]

      def wide = @scale[@cloth.width]

      def repeat = @scale[@cloth.vertical_repeat]

      def top(index) = MARGIN[:top] + index * (wide + APART)

      # What is still on the roll, at the right.
      def roll
        high = wide + (repeats? ? APART + wide * BESIDE : 0)
        @svg.rect(left + long - 4, top(0) - 6, 22, high + 12, rx: 9, fill: Tint.of(@colour), class: "cloth roll")
      end

      def width(index, tall)
        y = top(index)
        @svg.clip("sample-#{index}", left, y, long, tall + 1) do
          @svg.rect(left, y, long, wide, fill: Tint.of(@colour), class: "cloth")
          selvedges(y)
          repeats(index, y) if repeats? && repeat >= LEAST
        end
        arrow(y) if @cloth.one_way && index.zero?
      end

      def selvedges(y)
        selvedge = @scale[@cloth.selvedge]
        return unless selvedge.positive?

        [y, y + wide - selvedge].each { |edge| @svg.rect(left, edge, long, selvedge, class: "selvedge") }
      end

      # Its top is at the left.
      def arrow(y)
        @svg.path(["M", left + 46, y + wide / 4, "h", -32, "m", 9, -7, "l", -9, 7, "l", 9, 7], class: "top-mark")
      end

      # The next width of a half-drop meets its neighbour half a repeat on.
      def repeats(index, y)
        shift = (index == 1 && @cloth.half_drop?) ? repeat / 2 : 0
        starts = Array.new((long / repeat).ceil + 1) { |count| left + shift + repeat * (count - (shift.zero? ? 0 : 1)) }
        @svg.path(starts.select { |x| x.between?(left, left + long) }.flat_map { |x| ["M", x, y, "v", wide] },
          class: "repeat")
        @svg.path(starts.product(across).flat_map { |x, down| motif(x, y + down) }, class: "motif")
      end

      # A sprig, its tip towards the top.
      def motif(x, y) = [
        "M", x + repeat * 0.8, y, "h", -repeat * 0.5, "m", repeat * 0.16, -repeat * 0.14, "q",
        -repeat * 0.02, repeat * 0.1, -repeat * 0.16, repeat * 0.14
      ]

      def across
        step = @cloth.horizontal_repeat.positive? ? @scale[@cloth.horizontal_repeat] : wide / 2
        count = (wide / step).round.clamp(1, [(wide / LEAST).floor, 1].max)
        Array.new(count) { |index| wide * (index + 0.5) / count }
      end

      def dimensions
        Dimension.down(@svg, left - 12, top(0), top(0) + wide)
        written(left - 18, top(0) + wide / 2 + 5, @cloth.width, "end")
        return unless repeats?

        foot = top(1) + wide * BESIDE + 12
        Dimension.across(@svg, left, left + repeat, foot)
        written(left + repeat / 2, foot + 24, @cloth.vertical_repeat, (repeat < 50) ? "start" : "middle")
        half_drop(foot) if @cloth.half_drop? && repeat >= LEAST
      end

      # How far the second width stands from the first.
      def half_drop(foot)
        Dimension.across(@svg, left + repeat, left + repeat * 3 / 2, foot)
        written(left + repeat * 5 / 4, foot + 24, @cloth.vertical_repeat / 2, "middle") if repeat >= 120
      end

      def written(x, y, length, anchor) =
        @svg.text(x, y, Words.length(length, @unit), class: "figure", text_anchor: anchor)
    end
  end
end
