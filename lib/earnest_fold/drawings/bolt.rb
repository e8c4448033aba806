# frozen_string_literal: true

module EarnestFold
  module Drawings
    # One piece of cloth unrolled from left to right, to scale: its repeat lines and motif, its flaws, the cuts, what
    # is wasted and what is left. A long piece stands in rows. Running distances are from the piece's end.
    class Bolt
      R = Reckoning
      ABOVE, BELOW = 58, 34
      # So much cloth a row shows, nearly, where it isn't enlarged.
      ROW = R::Length.mm(9_000)
      # No cloth is drawn wider than this, once for every time it is enlarged: a piece that is shorter than it is wide
      # doesn't fill the row.
      TALLEST = 300
      # No narrower either, so that there is room for words.
      LEAST_TALL = 60
      # In less room than this nobody is told what is left.
      LEAST_LEFT = 60
      # A flaw is drawn no shorter than this, and so deep are its notches.
      LEAST_FLAW, NOTCH = 4, 13
      # How a cut is shown besides where it lies: `states` :done, :next, :chosen, :aside or :pinned, `links` where
      # touching it leads, both by the placed cut; `titles` the windows by treatment, where there are several.
      Marks = R::Value.define(:states, :links, :titles)
      PLAIN = Marks.new(states: {}, links: {}, titles: {})

      # @param made [Reckoning::ClothReckoning]
      # @return [Bolt] its cuts on one endless piece, as far as it is to be ordered
      #
      #   made = ClothReckoning.of(cloth, [reckoning])
      #   size(Drawings::Bolt.endless(made, Units::CM, colour: "#c8b79a")) # => "900 208.8"
      def self.endless(made, unit, colour:, marks: PLAIN, paper: false, zoom: 1)
        piece = R::Piece.new(
          id: made.cloth.id,
          length: made.length_to_order,
          batch: "",
          pattern_start: R::Length::ZERO,
          flaws: [],
          squared: false
        )
        new(made.cloth, piece, made.endless.placed, unit, colour: colour, marks: marks, paper: paper, zoom: zoom)
      end

      # @param cloth [Reckoning::Cloth]
      # @param piece [Reckoning::Piece] its distances from the end that cutting begins at
      # @param placed [Array<Reckoning::Cutting::Placed>] in order along it
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      # @param marks [Marks]
      # @param zoom [Integer] how many times enlarged; 0 shows the whole piece in one row
      # @param around [Reckoning::Cutting::Placed, nil] only the rows on which this cut lies
      # @param paper [Boolean] for a sheet or a file: waste is crossed by two lines, for not every program knows a hatch
      def initialize(cloth, piece, placed, unit, colour:, marks: PLAIN, zoom: 1, around: nil, paper: false)
        @cloth, @piece, @placed, @unit, @colour, @marks, @around, @paper =
          cloth, piece, placed, unit, colour, marks, around, paper
        @extent = zoom.zero? ? piece.length : extent
        @row = @extent / (zoom.zero? ? 1 : [(@extent / ROW).round, 1].max * zoom)
        @scale = Scale.fitting([BoltRow::WIDTH - 2 * BoltRow::SIDE, TALLEST * [zoom, 1].max], [@row, cloth.width])
        @tall = [@scale[cloth.width], LEAST_TALL].max
        @name = "#{cloth.id}-#{piece.id}".gsub(/[^\w-]/, "-")
        @svg = Svg.new(
          BoltRow::WIDTH,
          rows.size * row_height,
          says: says,
          css: "drawing bolt",
          role: marks.links.empty? ? "img" : "group"
        )
        @pattern = ClothPattern.new(@svg, @scale, cloth, piece.pattern_start)
        @cuts = CutsOnBolt.new(@svg, cloth, unit, marks)
        @distances = RunningDistances.new(@svg, unit, placed)
        @ruler = FootRuler.new(@svg, @scale, unit, @row)
      end

      # @return [String]
      #
      #   piece = plan_task.cloth.pieces.first
      #   size(Drawings::Bolt.new(rolled, piece, [], Units::CM, colour: "#c8b79a")) # => "900 227"
      def to_s
        @svg.hatch("waste-#{@name}", [:forward, :back]) unless @paper
        @svg.group(text_anchor: "middle") { rows.each_with_index { |row, index| draw(row, index) } }
        @svg.to_s
      end

      private

      def says =
        Words.say(
          "drawings.bolt",
          cloth: [@cloth.name, @piece.id].reject { |part| part == @cloth.id }.join(", "),
          cuts: @placed.size,
          length: @piece.length,
          unit: @unit
        )

      # As far as there is anything to be seen: past the last cut and the last flaw.
      def extent
        last = [R::Length::ZERO, *@placed.map(&:to), *@piece.flaws.map(&:to)].max + R::Length.mm(1500)
        shown = (last > ROW) ? last : ROW
        (shown < @piece.length) ? shown : @piece.length
      end

      def rows
        @rows ||=
          Array
            .new((@extent / @row).ceil) { |index| @row * index }
            .select { |from| @around.nil? || (@around.from < from + @row && @around.to > from) }
            .each_with_index
            .map { |from, index| row(from, index) }
      end

      def row(from, index) =
        BoltRow.new(@scale, from, [from + @row, @extent].min, index * row_height + ABOVE, @tall)

      def row_height = ABOVE + @tall + BELOW

      def draw(row, index)
        @svg.clip("row-#{@name}-#{index}", BoltRow::SIDE - 1, row.y - ABOVE, row.wide + 2, row_height) do
          ground(row)
          @pattern.draw(row)
          left_over(row)
          waste(row)
          @placed.each { |placed| @cuts.draw(placed, row) if row.shows?(placed.from, placed.to) }
          flaws(row)
          @svg.rect(BoltRow::SIDE, row.y, row.wide, @tall, class: "outline")
        end
        @distances.draw(row)
        @ruler.draw(row.from, row.to, BoltRow::SIDE, row.foot + 8) { |at| BoltRow.anchor(at) }
      end

      # Touching the cloth tells how far along it is.
      def ground(row)
        @svg.rect(
          BoltRow::SIDE,
          row.y,
          row.wide,
          @tall,
          :fill => Tint.of(@colour),
          :class => "ground",
          "data-from" => row.from.mm.round,
          "data-each" => format("%.5f", 1 / @scale[R::Length.mm(1)])
        )
      end

      # What no cut takes is crossed; what lies after the last cut is left.
      def waste(row)
        ends = [R::Length::ZERO, *@placed.flat_map { |placed| [placed.from, placed.to] }]
        ends.first(ends.size - 1).each_slice(2) do |from, to|
          next if to <= from || !row.shows?(from, to)

          wasted(row.x([from, row.from].max), row.x([to, row.to].min), row)
        end
      end

      def wasted(from, to, row)
        return @svg.rect(from, row.y, to - from, @tall, fill: "url(#waste-#{@name})", class: "waste") unless @paper

        @svg.path(["M", from, row.y, "L", to, row.foot, "M", from, row.foot, "L", to, row.y], class: "crossed")
      end

      def left_over(row)
        return if @placed.empty? || row.to < @extent

        used = @placed.last.to
        at = [used, row.from].max
        return if at >= row.to || @scale.between(at, row.to) < LEAST_LEFT

        @svg.text(
          (row.x(at) + row.x(row.to)) / 2,
          row.middle + 5,
          Words.say("drawings.left", length: @piece.length - used, unit: @unit),
          class: "edge"
        )
      end

      def flaws(row)
        @piece.flaws.each_with_index do |flaw, number|
          flaw(flaw, number, row) if flaw.to >= row.from && flaw.from <= row.to
        end
      end

      # A notch at both edges, and the stretch between them marked.
      def flaw(flaw, number, row)
        from, to = row.x(flaw.from), [row.x(flaw.to), row.x(flaw.from) + LEAST_FLAW].max
        @svg.group(
          :class => "flaw",
          "data-flaw" => number,
          "data-from" => flaw.from.mm.round,
          "data-to" => flaw.to.mm.round
        ) do
          @svg.rect(from, row.y, to - from, @tall, class: "flawed")
          @svg.path([*notch(from, to, row.y, NOTCH), *notch(from, to, row.foot, -NOTCH)], class: "notch")
        end
      end

      def notch(from, to, y, deep) = ["M", from - 5, y, "L", to + 5, y, "L", (from + to) / 2, y + deep, "Z"]
    end
  end
end
