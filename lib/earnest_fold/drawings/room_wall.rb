# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A room's windows side by side at one scale, their curtains drawn back in their cloth as they will hang; what
    # nobody has measured yet is dashed, in likely proportions. Somebody's own curtains hang over a rail, and an empty
    # place stands for one more.
    class RoomWall
      R = Reckoning
      WIDTH, GAP, TOP, TITLE, FOOT = 830, 46, 62, 34, 46
      # So many windows stand in a row; and so much cloth at most is a row tall.
      MOST, TALLEST = 5, 260
      LIKELY = {length: R::Length.mm(1800), drop: R::Length.mm(2140)}.freeze
      GHOST = R::Length.mm(1100)
      SHORT = R::Length.mm(1100)
      RAIL = R::Length.mm(700)
      FOLD = 7
      # One window: its `layers` from the glass to the room (none: not measured yet), what is on the wall by name. Its
      # `length` and `drop` are nil where nobody has measured.
      Window = R::Value.define(:title, :href, :length, :drop, :layers, :features)
      # One layer of it: where its curtains stand drawn back, from where to where, and its colour.
      Hung = R::Value.define(:places, :colour, :kind)
      # Somebody's own: as long as it will be.
      Own = R::Value.define(:title, :href, :length, :colour)

      # @param windows [Array<Window>]
      # @param own [Array<Own>]
      # @param unit [Reckoning::Unit]
      # @param more [Array(String, String), nil] the words and the address of one more window
      def initialize(windows, own, unit, more: nil)
        @windows, @own, @unit, @more = windows, own, unit, more
        @rows = [*windows, *own, *(more ? [:more] : [])].each_slice(MOST).to_a
        @scale = scale
        @svg = Svg.new(WIDTH, height, says: says, css: "drawing room-wall", role: "group")
      end

      # @return [String]
      #
      #   size(Drawings::RoomWall.new([], [], Units::CM)) # => "830 0"
      def to_s
        @rows.each_with_index { |row, index| row(row, index * row_height) }
        @svg.to_s
      end

      private

      def says = Words.say("drawings.wall", windows: [*@windows, *@own].map(&:title).join(", "))

      # The widest row decides, and the longest drop.
      def scale
        wide = @rows.map { |row| (WIDTH - GAP * (row.size + 1)) / row.sum { |one| across(one).mm.to_f } }.min || 1
        Scale.new([wide, TALLEST / longest.mm.to_f].min)
      end

      # What hangs folded over a rail takes half its length.
      def longest =
        @longest ||= [*@windows.map { |one| down(one) }, *@own.filter_map(&:length).map { |one| one / 2 }, SHORT].max

      def height = row_height * @rows.size

      def row_height = TOP + @scale[longest] + FOOT

      def across(one)
        case one
        when Window then one.length || LIKELY[:length]
        when Own then RAIL
        else GHOST
        end
      end

      def down(window) = window.drop || LIKELY[:drop]

      def row(row, top)
        floor = top + TOP + @scale[longest] + 6
        @svg.line(0, floor, WIDTH, floor, class: "floor")
        left = GAP
        row.each do |one|
          wide = @scale[across(one)]
          one(one, left, wide, top + TOP)
          left += wide + GAP
        end
      end

      def one(one, left, wide, top)
        case one
        when Window then window(one, left, wide, top)
        when Own then own(one, left, wide, top)
        else more(left, wide, top)
        end
      end

      def window(window, left, wide, top)
        @svg.link(window.href, says: window.title) do
          features(window, left, top)
          window.layers.empty? ? unmeasured(left, wide, top, @scale[down(window)]) : hang(window, left, wide, top)
          title(window.title, left, wide, top)
        end
        dimension(window, left, wide, top) if window.length
      end

      # Where nobody said what is on the wall, a pane in a likely place.
      def features(window, left, top)
        likely_pane(window, left, top) if window.features.empty? && window.layers.any?
        window.features.each do |name, feature|
          at = [left + @scale[feature.from_left], top + @scale[feature.down]]
          size = [[@scale[feature.width], 3].max, [@scale[feature.height], 3].max]
          (name == :glass) ? pane(*at, *size) : @svg.rect(*at, *size, class: "feature #{name}")
        end
      end

      def likely_pane(window, left, top)
        wide = @scale[across(window)]
        pane(left + wide * 0.16, top + 12, wide * 0.68, @scale[down(window)] * 0.62)
      end

      def pane(x, y, wide, tall)
        @svg.rect(x, y, wide, tall, class: "feature glass")
        @svg.path(["M", x + wide / 2, y, "v", tall, "M", x, y + tall * 0.36, "h", wide], class: "glazing")
      end

      def hang(window, left, wide, top)
        tall = @scale[window.drop]
        window.layers.each { |layer| layer.places.each { |from, to| curtain(layer, left, from, to, top, tall) } }
        @svg.line(left - 6, top - 3, left + wide + 6, top - 3, class: "support #{window.layers.last.kind}")
      end

      def curtain(layer, left, from, to, top, tall)
        x, wide = left + @scale[from], [@scale[to - from], 5].max
        outline = ["M", x, top, "h", wide, "l", 2, tall, "h", -(wide + 4), "Z"]
        @svg.path(outline, fill: Tint.of(layer.colour), class: "cloth")
        count = [(wide / FOLD).floor, 1].max
        @svg.path((1..count).flat_map { |fold| ["M", x + wide * (fold - 0.5) / count, top, "v", tall] }, class: "fold")
      end

      def unmeasured(left, wide, top, tall)
        @svg.rect(left, top, wide, tall, class: "cloth likely", fill: "none")
        @svg.line(left - 6, top - 3, left + wide + 6, top - 3, class: "support thin")
      end

      # Folded over a rail, as it came.
      def own(one, left, wide, top)
        tall = one.length ? @scale[one.length] / 2 : @scale[LIKELY[:drop]] / 3
        @svg.link(one.href, says: one.title) do
          @svg.rect(left + wide * 0.18, top, wide * 0.64, tall, fill: Tint.of(one.colour), class: "cloth")
          @svg.rect(left + wide * 0.12, top, wide * 0.64, tall * 0.72, fill: Tint.of(one.colour), class: "cloth")
          @svg.line(left, top - 2, left + wide, top - 2, class: "support pole")
          title(one.title, left, wide, top)
        end
      end

      def more(left, wide, top)
        words, href = @more
        tall = @scale[longest]
        @svg.link(href, says: words) do
          @svg.rect(left, top, wide, tall, rx: 5, class: "ghost", fill: "none")
          @svg.text(left + wide / 2, top + tall / 2, "+", class: "plus", text_anchor: "middle")
          @svg.text(left + wide / 2, top + tall / 2 + 22, words, class: "label", text_anchor: "middle")
        end
      end

      # Names that are longer than their window is wide stand in two heights by turns, or are cut with three dots.
      def title(words, left, wide, top)
        most = [((wide + GAP - 8) / 8.2).floor, 4].max
        shown = (words.size > most) ? "#{words[0, most - 1]}…" : words
        @svg.text(left + wide / 2, top - TITLE / 2, shown, class: "caption", text_anchor: "middle")
      end

      def dimension(window, left, wide, top)
        at = top + @scale[longest] + 20
        Dimension.across(@svg, left, left + wide, at)
        @svg.text(left + wide / 2, at + 17, Words.length(window.length, @unit), class: "figure", text_anchor: "middle")
      end
    end
  end
end
