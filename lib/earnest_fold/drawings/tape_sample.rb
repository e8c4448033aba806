# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A stretch of a heading tape to scale, seen from its back: its rows of pockets, its cords, the places its pitches
    # give with their marks, and the curtain's top edge above it.
    class TapeSample
      R = Reckoning
      WIDTH, HEIGHT = 640, 190
      LEFT, TOP, FOOT = 20, 46, 34
      # How much of it is shown at least.
      STRETCH = R::Length.mm(300)

      # @param tape [Reckoning::Tape] whose depth is known
      # @param unit [Reckoning::Unit]
      def initialize(tape, unit)
        @tape, @unit = tape, unit
        longest = tape.pitches.map(&:pitch).max || R::Length::ZERO
        @stretch = [STRETCH, longest * 3].max
        @scale = Scale.fitting([WIDTH - LEFT - 150, HEIGHT - TOP - FOOT], [@stretch, tape.depth + below])
        @svg = Svg.new(WIDTH, HEIGHT, says: says, css: "drawing tape-sample")
      end

      # @return [String]
      def to_s
        top_edge
        @svg.rect(LEFT, upper, wide, tall, class: "cloth", fill: "#fdfaf1")
        pockets
        cords if @tape.kind == "corded"
        pitches
        labels
        @svg.to_s
      end

      private

      def says = Words.say("drawings.tape_sample", name: @tape.name, depth: @tape.depth, unit: @unit)

      def below = @tape.below || R::Length::ZERO

      def wide = @scale[@stretch]

      def tall = @scale[@tape.depth]

      def upper = TOP + @scale[below]

      # @return [Hash{String => Reckoning::Length}] those of its rows that are known, by name
      def rows = R::Tape::ROWS.to_h { |row| [row, @tape.public_send(:"row_#{row}")] }.compact

      def top_edge
        @svg.line(LEFT, TOP, LEFT + wide, TOP, class: "top-edge")
        @svg.text(LEFT, TOP - 8, Words.say("drawings.top_edge"), class: "edge", text_anchor: "start")
      end

      # A pocket at every pitch of them, in each row; in the middle where no row is known.
      def pockets
        step = @tape.pocket_pitch or return
        at = (0...(@stretch / step).floor).map { |index| LEFT + @scale[step] * index }
        open = [@scale[step] - 3, 2].max
        each_row do |y|
          each = at.flat_map { |x| ["M", x + 1.5, y - 5, "h", open, "v", 10, "h", -open, "Z"] }
          @svg.path(each, class: "tape-pocket")
        end
      end

      def each_row(&block)
        known = rows.values
        known.empty? ? block.call(upper + tall / 2) : known.each { |down| block.call(upper + @scale[down]) }
      end

      def cords
        [0.2, 0.8].each do |share|
          y = upper + tall * share
          @svg.line(LEFT, y, LEFT + wide, y, class: "tape-cord")
        end
      end

      # Each pitch where it begins and ends, one below the other.
      def pitches
        @tape.pitches.each_with_index do |one, index|
          from, to = LEFT, LEFT + @scale[one.pitch]
          y = upper + tall * (index + 1) / (@tape.pitches.size + 1)
          @svg.path(["M", from, y - 4, "v", 8, "M", from, y, "H", to, "M", to, y - 4, "v", 8], class: "dim")
          told = [Words.length(one.pitch, @unit), one.mark].reject(&:empty?).join(" ")
          @svg.text(to + 8, y + 4, told, class: "figure", text_anchor: "start")
        end
      end

      def labels
        x = LEFT + wide + 12
        deep = Words.say("drawings.tape_depth", depth: @tape.depth, unit: @unit)
        @svg.text(x, upper + tall + 18, deep, class: "edge", text_anchor: "start")
        rows.each do |row, down|
          told = "#{Words.say("hook_rows.#{row}")} #{Words.length(down, @unit)}"
          @svg.text(x, upper + @scale[down] + 4, told, class: "figure", text_anchor: "start")
        end
      end
    end
  end
end
