# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A cloth as it lies, to scale: its width with the selvedges, its repeats with a motif in each, and beside it a
    # second width to show how they match.
    class ClothSample
      R = Reckoning
      WIDTH, HEIGHT = 640, 230
      MARGIN = {left: 64, top: 40, bottom: 14}.freeze
      # Motifs closer than this are drawn fewer.
      LEAST = 3
      # How much of a plain cloth is shown.
      PLAIN = R::Length.mm(600)

      # @param cloth [Reckoning::Cloth]
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      def initialize(cloth, unit, colour:)
        @cloth, @unit, @colour = cloth, unit, colour
        @deep = cloth.repeats? ? cloth.vertical_repeat * 2 : PLAIN
        @scale = Scale.fitting(
          [WIDTH - MARGIN[:left] - 20, HEIGHT - MARGIN[:top] - MARGIN[:bottom]],
          [cloth.width * 2, @deep]
        )
        @svg = Svg.new(WIDTH, HEIGHT, says: says, css: "drawing sample")
      end

      # @return [String]
      def to_s
        2.times { |index| width(index) }
        dimensions
        @svg.to_s
      end

      private

      def says = Words.say("drawings.sample", width: @cloth.width, repeat: @cloth.vertical_repeat, unit: @unit)

      def wide = @scale[@cloth.width]

      def tall = @scale[@deep]

      def left(index) = MARGIN[:left] + index * (wide + 8)

      def top = MARGIN[:top]

      def width(index)
        @svg.rect(left(index), top, wide, tall, fill: @colour, class: "cloth")
        selvedge = @scale[@cloth.selvedge]
        if selvedge.positive?
          [left(index), left(index) + wide - selvedge].each { |x| @svg.rect(x, top, selvedge, tall, class: "selvedge") }
        end
        repeats(index) if @cloth.repeats?
        if @cloth.one_way
          @svg.path(
            ["M", left(index) + wide / 2, top + 26, "v", -18, "m", -5, 7, "l", 5, -7, "l", 5, 7],
            class: "top-mark"
          )
        end
      end

      # The next width of a half-drop meets its neighbour half a repeat lower.
      def repeats(index)
        repeat = @scale[@cloth.vertical_repeat]
        shift = (index == 1 && @cloth.half_drop?) ? repeat / 2 : 0
        @svg.clip("sample-#{index}", left(index), top, wide, tall) do
          (-1..2).each do |row|
            y = top + shift + repeat * row
            @svg.path(["M", left(index), y, "h", wide], class: "repeat")
            across.each do |x|
              @svg.path(
                ["M", left(index) + x, y + repeat * 0.8, "v", -repeat * 0.5, "m", -repeat * 0.14, repeat * 0.16, "q",
                  repeat * 0.1, -repeat * 0.02, repeat * 0.14, -repeat * 0.16],
                class: "motif"
              )
            end
          end
        end
      end

      def across
        step = @cloth.horizontal_repeat.positive? ? @scale[@cloth.horizontal_repeat] : wide / 2
        count = (wide / step).round.clamp(1, [(wide / LEAST).floor, 1].max)
        Array.new(count) { |index| wide * (index + 0.5) / count }
      end

      def dimensions
        Dimension.across(@svg, left(0), left(0) + wide, top - 12)
        @svg.text(
          left(0) + wide / 2,
          top - 19,
          Words.length(@cloth.width, @unit),
          class: "figure",
          text_anchor: "middle"
        )
        return unless @cloth.repeats?

        Dimension.down(@svg, left(0) - 12, top, top + @scale[@cloth.vertical_repeat])
        @svg.text(
          left(0) - 20,
          top + @scale[@cloth.vertical_repeat] / 2 + 5,
          Words.length(@cloth.vertical_repeat, @unit),
          class: "figure",
          text_anchor: "end"
        )
      end
    end
  end
end
