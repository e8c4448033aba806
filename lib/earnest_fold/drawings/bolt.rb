# frozen_string_literal: true

module EarnestFold
  module Drawings
    # The cuts on one piece of cloth, unrolled from left to right, to scale. Running distances are from the piece's end.
    class Bolt
      R = Reckoning
      SIDE, ABOVE, BELOW = 16, 44, 34
      WIDTH = 900
      # A long piece is drawn in rows of about this much.
      ROW = R::Length.mm(9_000)

      # @param made [Reckoning::ClothReckoning]
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      def initialize(made, unit, colour:)
        @made, @unit, @colour = made, unit, colour
        @cloth, @placed = made.cloth, made.endless.placed
        @length = made.length_to_order
        @rows = [(@length / ROW).round, 1].max
        @scale = Scale.new((WIDTH - 2 * SIDE) / (@length / @rows).mm.to_f)
        @svg = Svg.new(WIDTH, rows.size * row_height, says: says, css: "drawing bolt")
      end

      # @return [String]
      def to_s
        @svg.hatch("waste-#{@cloth.id}", [:forward, :back])
        rows.each_with_index { |from, index| row(from, index) }
        @svg.to_s
      end

      private

      def says = Words.say("drawings.bolt", cloth: @cloth.name, cuts: @placed.size, length: @length, unit: @unit)

      def rows = Array.new(@rows) { |index| @length * index / @rows }

      def row_height = ABOVE + tall + BELOW

      def tall = [@scale[@cloth.width], 60].max

      def row(from, index)
        to = from + @length / @rows
        y = index * row_height + ABOVE
        @svg.clip("row-#{@cloth.id}-#{index}", SIDE - 1, y - ABOVE, WIDTH - 2 * SIDE + 2, row_height) do
          @svg.rect(SIDE, y, @scale[to - from], tall, fill: @colour)
          waste(from, to, y)
          repeat_lines(from, to, y) if @cloth.repeats?
          within(from, to).each { |placed| cut(placed, from, y) }
          @svg.rect(SIDE, y, @scale[to - from], tall, class: "outline")
        end
        within(from, to).each { |placed| distances(placed, from, to, y) }
        ruler(from, to, y)
      end

      def within(from, to) = @placed.select { |placed| placed.to > from && placed.from < to }

      # What no cut takes is crossed.
      def waste(from, to, y)
        ends = [R::Length::ZERO, *@placed.flat_map { |placed| [placed.from, placed.to] }, @length]
        ends.each_slice(2) do |start, stop|
          next if stop <= start || stop <= from || start >= to

          @svg.rect(x(start, from), y, @scale[stop - start], tall, fill: "url(#waste-#{@cloth.id})", class: "waste")
        end
      end

      def repeat_lines(from, to, y)
        first = (from / @cloth.vertical_repeat).ceil
        last = (to / @cloth.vertical_repeat).floor
        @svg.path((first..last).flat_map { |count| ["M", x(@cloth.vertical_repeat * count, from), y, "v", tall] }, class: "repeat")
      end

      def cut(placed, from, y)
        x1, x2 = x(placed.from, from), x(placed.to, from)
        @svg.rect(x1, y + 3, x2 - x1, tall - 6, class: "cut")
        middle = ([x1, SIDE].max + [x2, WIDTH - SIDE].min) / 2
        @svg.text(middle, y + tall / 2 - 4, name(placed.cut), class: "label", text_anchor: "middle")
        @svg.text(middle, y + tall / 2 + 14, Words.length(placed.cut.length, @unit), class: "figure", text_anchor: "middle")
        @svg.path(["M", x1 + 7, y + tall / 2 - 5, "l", -4, 5, "l", 4, 5], class: "top-mark")
      end

      def name(cut)
        short = cut.curtain.split(", ").map { |hand| Words.say("drawings.hand_#{hand.split.first}", number: hand[/\d+/], default: hand) }.join("+")
        [short, cut.number, (cut.phase && @cloth.half_drop?) ? cut.phase : nil].compact.join(" ")
      end

      def distances(placed, from, to, y)
        running(x(placed.from, from), y, placed.from) if placed.from >= from
        running(x(placed.to, from), y, placed.to) if placed.equal?(@placed.last) && placed.to <= to
      end

      def running(x, y, distance)
        @svg.line(x, y - 12, x, y, class: "dim")
        @svg.text(x.clamp(SIDE, WIDTH - SIDE), y - 17, distance.zero? ? "0" : Words.length(distance, @unit), class: "figure", text_anchor: anchor(x))
      end

      def anchor(x)
        return "start" if x < SIDE + 20

        (x > WIDTH - SIDE - 20) ? "end" : "middle"
      end

      # Whole metres, or whole feet, along the cloth's foot.
      def ruler(from, to, y)
        step = @unit.inches? ? R::Length.inches(12) : R::Length.mm(1000)
        foot = y + tall + 8
        @svg.line(SIDE, foot, SIDE + @scale[to - from], foot, class: "dim")
        ((from / step).ceil..(to / step).floor).each do |count|
          at = x(step * count, from)
          @svg.line(at, foot - 4, at, foot + 4, class: "dim")
          @svg.text(at, foot + 18, "#{count} #{@unit.inches? ? "ft" : "m"}", class: "ruler", text_anchor: count.zero? ? "start" : "middle") if !@unit.inches? || (count % 3).zero?
        end
      end

      def x(distance, from) = SIDE + @scale[distance - from]
    end
  end
end
