# frozen_string_literal: true

module EarnestFold
  module Drawings
    # One piece of cloth unrolled from left to right, to scale: its repeat lines and motif, its flaws, the cuts, what
    # is wasted and what is left. A long piece stands in rows. Running distances are from the piece's end.
    class Bolt
      R = Reckoning
      SIDE, ABOVE, BELOW = 16, 58, 34
      WIDTH = 900
      # So much cloth a row shows, nearly, where it isn't enlarged.
      ROW = R::Length.mm(9_000)
      # Lines of repeats closer than this are left out.
      LEAST_REPEAT = 7
      # No cloth is drawn wider than this, once for every time it is enlarged: a piece that is shorter than it is wide
      # doesn't fill the row.
      TALLEST = 300
      # No narrower either, so that there is room for words.
      LEAST_TALL = 60
      # Two figures nearer than this stand one above the other.
      NEAR = 52
      # From one line of words to the next, as large as a phone shows them.
      LINE = 22
      # In less room than this nothing is written.
      LEAST_WORDS = 34
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
        @scale = Scale.fitting([WIDTH - 2 * SIDE, TALLEST * [zoom, 1].max], [@row, cloth.width])
        @tall = [@scale[cloth.width], LEAST_TALL].max
        @name = "#{cloth.id}-#{piece.id}".gsub(/[^\w-]/, "-")
        @svg = Svg.new(
          WIDTH,
          rows.size * row_height,
          says: says,
          css: "drawing bolt",
          role: marks.links.empty? ? "img" : "group"
        )
        @ruler = FootRuler.new(@svg, @scale, unit, @row)
      end

      # @return [String]
      #
      #   piece = plan_task.cloth.pieces.first
      #   size(Drawings::Bolt.new(rolled, piece, [], Units::CM, colour: "#c8b79a")) # => "900 227"
      def to_s
        @svg.hatch("waste-#{@name}", [:forward, :back]) unless @paper
        rows.each_with_index { |from, index| row(from, index) }
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
      end

      def row_height = ABOVE + @tall + BELOW

      def row(from, index)
        to = [from + @row, @extent].min
        y = index * row_height + ABOVE
        @svg.clip("row-#{@name}-#{index}", SIDE - 1, y - ABOVE, @scale.between(from, to) + 2, row_height) do
          ground(from, to, y)
          waste(from, to, y)
          within(from, to).each { |placed| cut(placed, from, y) }
          @piece.flaws.each_with_index do |flaw, number|
            flaw(flaw, number, from, y) if flaw.to >= from && flaw.from <= to
          end
          @svg.rect(SIDE, y, @scale.between(from, to), @tall, class: "outline")
        end
        running_distances(from, to, y)
        @ruler.draw(from, to, SIDE, y + @tall + 8) { |at| anchor(at) }
      end

      # Touching the cloth tells how far along it is.
      def ground(from, to, y)
        @svg.rect(
          SIDE,
          y,
          @scale.between(from, to),
          @tall,
          :fill => @colour,
          :class => "ground",
          "data-from" => from.mm.round,
          "data-each" => format("%.5f", 1 / @scale[R::Length.mm(1)])
        )
        pattern(from, to, y) if @cloth.repeats? && @scale[@cloth.vertical_repeat] >= LEAST_REPEAT
        left_over(from, to, y)
      end

      def within(from, to) = @placed.select { |placed| placed.to > from && placed.from < to }

      def used = @placed.empty? ? R::Length::ZERO : @placed.last.to

      # What no cut takes is crossed; what lies after the last cut is left.
      def waste(from, to, y)
        ends = [R::Length::ZERO, *@placed.flat_map { |placed| [placed.from, placed.to] }]
        ends.first(ends.size - 1).each_slice(2) do |start, stop|
          next if stop <= start || stop <= from || start >= to

          wasted(x([start, from].max, from), x([stop, to].min, from), y)
        end
      end

      def wasted(x1, x2, y)
        return @svg.rect(x1, y, x2 - x1, @tall, fill: "url(#waste-#{@name})", class: "waste") unless @paper

        @svg.path(["M", x1, y, "L", x2, y + @tall, "M", x1, y + @tall, "L", x2, y], class: "crossed")
      end

      def left_over(from, to, y)
        at = [used, from].max
        return if @placed.empty? || at >= to || to < @extent || @scale.between(at, to) < 60

        @svg.text(
          (x(at, from) + x(to, from)) / 2,
          y + @tall / 2 + 5,
          Words.say("drawings.left", length: @piece.length - used, unit: @unit),
          class: "edge",
          text_anchor: "middle"
        )
      end

      def pattern(from, to, y)
        repeat = @cloth.vertical_repeat
        first = ((from - @piece.pattern_start) / repeat).ceil
        last = ((to - @piece.pattern_start) / repeat).floor
        lines = (first..last).map { |count| x(@piece.pattern_start + repeat * count, from) }
        @svg.path(lines.flat_map { |at| ["M", at, y, "v", @tall] }, class: "repeat")
        if @scale[repeat] > 24
          motifs([first - 1, *first..last].map { |count| x(@piece.pattern_start + repeat * count, from) }, y)
        end
      end

      # A sprig in each repeat, its tip towards the curtain's top.
      def motifs(starts, y)
        step = @scale[@cloth.vertical_repeat]
        sprig = Svg.commands(
          ["h", -step * 0.5, "m", step * 0.16, -step * 0.12, "q", -step * 0.03, step * 0.1, -step * 0.16, step * 0.12]
        )
        places = starts.product([0.25, 0.75])
        @svg.path(
          places.flat_map { |at, across| ["M", at + step * 0.8, y + @tall * across, sprig] },
          class: "motif"
        )
      end

      def cut(placed, from, y)
        x1, x2 = x(placed.from, from), x(placed.to, from)
        @svg.group(class: ["cut-of", @marks.states[placed]].compact.join(" ")) do
          told = [x2, WIDTH - SIDE].min - [x1, SIDE].max > LEAST_WORDS
          @svg.link(@marks.links[placed], says: told ? nil : spoken(placed)) do
            @svg.rect(x1, y + 3, x2 - x1, @tall - 6, class: "cut")
            @svg.path(["M", x1 + 7, y + @tall / 2 - 5, "l", -4, 5, "l", 4, 5], class: "top-mark")
            words(placed, [x1, SIDE].max, [x2, WIDTH - SIDE].min, y + @tall / 2) if told
          end
        end
      end

      def words(placed, x1, x2, y)
        lines = [[name(placed.cut), "label"], [Words.length(placed.cut.length, @unit), "figure"]]
        title = @marks.titles[placed.cut.treatment]
        if title && x2 - x1 > 40
          lines.unshift(
            [(title.size * 6.6 > x2 - x1) ? "#{title[0, [((x2 - x1) / 6.6).floor - 1, 1].max]}…" : title, "edge"]
          )
        end
        lines.unshift([nil, "tick"]) if @marks.states[placed] == :done
        apart = [LINE, (@tall - 12) / lines.size].min
        lines.each_with_index do |(text, css), index|
          at = y + 5 + (index - (lines.size - 1) / 2.0) * apart
          if text
            @svg.text((x1 + x2) / 2, at, text, class: css, text_anchor: "middle")
          else
            @svg.path(["M", (x1 + x2) / 2 - 8, at - 5, "l", 6, 6, "l", 11, -13], class: "tick")
          end
        end
      end

      def spoken(placed) =
        Words.say("drawings.cut", name: name(placed.cut), from: placed.from, to: placed.to, unit: @unit)

      def name(cut)
        short =
          cut
            .curtain
            .split(", ")
            .map { |hand| Words.say("drawings.hand_#{hand.split.first}", number: hand[/\d+/], default: hand) }
            .join("+")
        [short, cut.number, (cut.phase && @cloth.half_drop?) ? cut.phase : nil].compact.join(" ")
      end

      # A notch at both edges, and the stretch between them marked.
      def flaw(flaw, number, from, y)
        x1, x2 = x(flaw.from, from), [x(flaw.to, from), x(flaw.from, from) + 4].max
        @svg.group(
          :class => "flaw",
          "data-flaw" => number,
          "data-from" => flaw.from.mm.round,
          "data-to" => flaw.to.mm.round
        ) do
          @svg.rect(x1, y, x2 - x1, @tall, class: "flawed")
          @svg.path(
            ["M", x1 - 5, y, "L", x2 + 5, y, "L", (x1 + x2) / 2, y + 13, "Z", "M", x1 - 5, y + @tall, "L", x2 + 5,
              y + @tall, "L", (x1 + x2) / 2, y + @tall - 13, "Z"],
            class: "notch"
          )
        end
      end

      # Each cut's beginning, unless the one before ends there, and each cut's end.
      def running_distances(from, to, y)
        marks =
          @placed
            .flat_map { |placed| [placed.from, placed.to] }
            .uniq
            .select { |at| at >= from && (at < to || at == @extent || (at == to && at == used)) }
        last = nil
        marks.each_with_index do |distance, index|
          at = x(distance, from)
          following = marks[index + 1] && x(marks[index + 1], from)
          high = last && at - last < NEAR
          @svg.line(at, y - (high ? 34 : 12), at, y, class: "dim")
          figure(distance, at, y - (high ? 38 : 16), (!high && following && following - at < NEAR) ? following : nil)
          last = high ? nil : at
        end
      end

      # Beside its line, not across the next one's, where that stands higher and near.
      def figure(distance, at, y, beside)
        told = distance.zero? ? "0" : Words.length(distance, @unit)
        aside = beside && anchor(at) == "middle"
        place = aside ? [at + 4, beside - 3].min : at.clamp(SIDE, WIDTH - SIDE)
        @svg.text(place, y, told, class: "figure", text_anchor: aside ? "end" : anchor(at))
      end

      def anchor(x)
        return "start" if x < SIDE + 20

        (x > WIDTH - SIDE - 20) ? "end" : "middle"
      end

      def x(distance, from) = SIDE + @scale.between(from, distance)
    end
  end
end
