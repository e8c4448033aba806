# frozen_string_literal: true

module EarnestFold
  module Drawings
    # Cuts as they lie in a row of cloth: each with its name and its length, its window where there are several, and a
    # tick once it is made.
    # @api private
    class CutsOnBolt
      # From one line of words to the next, as large as a phone shows them.
      LINE = 22
      # In less room than this nothing is written; in less than that no window.
      LEAST_WORDS, LEAST_TITLE = 34, 40
      # A letter of a window's name takes so much, as large as a phone shows it.
      LETTER = 10.5

      # @param svg [Svg] is drawn on
      # @param cloth [Reckoning::Cloth]
      # @param unit [Reckoning::Unit]
      # @param marks [Bolt::Marks]
      def initialize(svg, cloth, unit, marks)
        @svg, @cloth, @unit, @marks = svg, cloth, unit, marks
      end

      # @param placed [Reckoning::Cutting::Placed]
      # @param row [BoltRow]
      def draw(placed, row)
        ends = [row.x(placed.from), row.x(placed.to)]
        seen = [[ends.first, BoltRow::SIDE].max, [ends.last, BoltRow::WIDTH - BoltRow::SIDE].min]
        told = seen.last - seen.first > LEAST_WORDS
        @svg.group(class: ["cut-of", @marks.states[placed]].compact.join(" ")) do
          @svg.link(@marks.links[placed], says: told ? nil : spoken(placed)) do
            outline(ends, row)
            words(placed, seen, row) if told
          end
        end
      end

      private

      # A small mark points to the curtain's top.
      def outline((begins, ends), row)
        @svg.rect(begins, row.y + 3, ends - begins, row.tall - 6, class: "cut")
        @svg.path(["M", begins + 7, row.middle - 5, "l", -4, 5, "l", 4, 5], class: "top-mark")
      end

      def words(placed, (from, to), row)
        lines = lines_of(placed, to - from)
        apart = [LINE, (row.tall - 12) / lines.size].min
        lines.each_with_index do |(text, css), index|
          line(text, css, (from + to) / 2, row.middle + 5 + (index - (lines.size - 1) / 2.0) * apart)
        end
      end

      # @return [Array<Array(String, String)>] words and their class; no words are a tick
      def lines_of(placed, room)
        title = @marks.titles[placed.cut.treatment]
        [
          ([nil, "tick"] if @marks.states[placed] == :done),
          ([shortened(title, room), "edge"] if title && room > LEAST_TITLE),
          [name(placed.cut), "label"],
          [Words.length(placed.cut.length, @unit), "figure"]
        ].compact
      end

      def line(text, css, x, y)
        return @svg.text(x, y, text, class: css) if text

        @svg.path(["M", x - 8, y - 5, "l", 6, 6, "l", 11, -13], class: css)
      end

      def shortened(title, room)
        return title if title.size * LETTER <= room

        "#{title[0, [(room / LETTER).floor - 1, 1].max]}…"
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
    end
  end
end
