# frozen_string_literal: true

module EarnestFold
  module Drawings
    # The face of one flat curtain, drawn on a sheet at a place and a scale: its turnings, its seams, and where the
    # pattern falls.
    class CurtainFace
      R = Reckoning
      # Repeats closer than this are left out.
      LEAST_REPEAT = 3
      # Where it goes: the sheet, its upper left corner, the scale, and a name that no other curtain on the page has.
      Place = R::Value.define(:svg, :left, :top, :scale, :name)

      # @param figures [FlatFigures]
      # @param colour [String]
      # @param place [Place]
      def initialize(figures, colour, place)
        @figures, @colour, @place = figures, colour, place
        @cut, @svg, @scale = figures.cut, place.svg, place.scale
      end

      # @yield between the cloth and its outline, to lay something over it
      def draw
        @svg.hatch("hem-#{name}", [:forward]).hatch("head-#{name}", [:back])
        @svg.rect(left, top, width, height, fill: Tint.of(@colour))
        @svg.clip("curtain-#{name}", left, top, width, height) { pattern } if @cut.cloth.repeats? && !@cut.sideways
        turnings
        seams
        yield if block_given?
        @svg.rect(left, top, width, height, class: "outline")
      end

      # @return [Float]
      def width = @scale[@figures.flat_width]

      # @return [Float]
      def height = @scale[@cut.finished]

      # @return [Numeric] in the drawing's units
      def left = @place.left

      # @return [Numeric] in the drawing's units
      def top = @place.top

      # @param distance [Reckoning::Length] from the leading edge
      # @return [Float]
      def x(distance) = @figures.leads_right? ? left + width - @scale[distance] : left + @scale[distance]

      private

      def name = @place.name

      def turnings
        band(top, @scale[[@cut.top, @cut.finished].min], "head") if @cut.top.positive?
        depth = @scale[@figures.hem.depth]
        band(top + height - depth, depth, "hem") if @figures.hem.taken.positive?
        side = @scale[@figures.side.depth]
        if side.positive?
          [left + side, left + width - side].each { |at| @svg.line(at, top, at, top + height, class: "turning") }
        end
      end

      def band(from, depth, kind)
        @svg.rect(left, from, width, depth, fill: "url(##{kind}-#{name})")
        edge = (kind == "head") ? from + depth : from
        @svg.line(left, edge, left + width, edge, class: "fold-line #{kind}")
      end

      def seams
        @figures.seams.each do |seam|
          [-1.5, 1.5].each { |aside| @svg.line(x(seam) + aside, top, x(seam) + aside, top + height, class: "seam") }
        end
      end

      # Each width's repeat lines, and a sprig on each: an odd width of a half-drop stands half a repeat lower. A
      # pattern too fine to be told apart on the drawing isn't drawn.
      def pattern
        return if @scale[@cut.cloth.vertical_repeat] < LEAST_REPEAT

        @figures.bounds.each_cons(2).with_index do |(from, to), index|
          x1, x2 = [x(from), x(to)].minmax
          lines = repeat_lines(@figures.phases[index])
          @svg.path(lines.flat_map { |y| ["M", x1, y, "H", x2] }, class: "repeat")
          @svg.path(lines.product(sprigs(x1, x2)).flat_map { |y, x| ["M", x, y, sprig] }, class: "motif")
        end
      end

      # @return [Array<Float>] where they stand across one width
      def sprigs(x1, x2)
        across = @cut.cloth.horizontal_repeat.positive? ? @scale[@cut.cloth.horizontal_repeat] : (x2 - x1) / 2
        across = [across, LEAST_REPEAT].max
        count = [((x2 - x1) / across).round, 1].max
        Array.new(count) { |index| x1 + (x2 - x1) * (index + 0.5) / count }
      end

      # From its foot: a leaf to the left, the stalk, a leaf to the right.
      def sprig
        @sprig ||= begin
          tall = [@scale[@cut.cloth.vertical_repeat] * 0.5, 44].min
          leaf = [tall * 0.12, tall * -0.4, tall * 0.3, tall * -0.7]
          left = ["q", tall * -0.12, tall * -0.5, tall * -0.3, tall * -0.8, "m", tall * 0.3, tall * 0.8]
          Svg.commands([*left, "v", -tall, "m", 0, tall, "q", *leaf])
        end
      end

      # @param phase [String] "A" or "B"
      # @return [Array<Float>] where the repeat lines of a width fall
      def repeat_lines(phase)
        repeat = @cut.cloth.vertical_repeat
        start = @figures.pattern_start + ((phase == "B") ? repeat / 2 : R::Length::ZERO)
        first = repeat - (start + @cut.top_fold) % repeat
        count = ((@cut.finished / @cut.shrinking - first) / repeat).floor + 1
        Array.new([count, 0].max) { |index| top + @scale[(first + repeat * index) * @cut.shrinking] }
      end
    end
  end
end
