# frozen_string_literal: true

module EarnestFold
  module Drawings
    # Somebody's own curtains as they came in, side by side as seen from the room, with numbered marks where something
    # was noted.
    class Condition
      WIDTH, TALLEST, TOP = 640, 260, 26

      # @param hands [Array<String>]
      # @param made [Reckoning::AlterationOfJob, nil] for their proportions
      # @param numbered [Array<Array(Integer, #curtain)>] marks: a number, and what tells its curtain, across and down
      def initialize(hands, made, numbered)
        @hands, @numbered = hands, numbered
        ratio = made ? (made.alteration.across(made.curtain) / made.alteration.extent(made.curtain)).to_f : 0.6
        @gap = 18
        @tall = [TALLEST, (WIDTH - 40 - @gap * (hands.size - 1)) / hands.size / ratio.clamp(0.2, 3)].min
        @wide = @tall * ratio.clamp(0.2, 3)
        @svg = Svg.new(
          WIDTH,
          TOP + @tall + 14,
          says: Words.say("drawings.condition"),
          css: "drawing condition",
          role: "group"
        )
      end

      # @return [String]
      #
      #   size(Drawings::Condition.new(["single"], nil, [])) # => "640 300"
      def to_s
        @hands.each_with_index { |hand, index| curtain(hand, left(index)) }
        @numbered.each { |number, note| mark(number, note) }
        @svg.to_s
      end

      private

      def left(index) = 20 + index * (@wide + @gap)

      def curtain(hand, x)
        @svg.text(x + 4, TOP - 8, Words.hand(hand), class: "edge")
        @svg.rect(x, TOP, @wide, @tall, :fill => "#e6dcc6", :class => "cloth ground", "data-curtain" => hand)
        @svg.rect(x, TOP, @wide, @tall, class: "outline untouched")
      end

      def mark(number, note)
        index = @hands.index(note.curtain) || 0
        x, y = left(index) + @wide * note.across / 1000.0, TOP + @tall * note.down / 1000.0
        @svg.circle(x, y, 11, class: "noted")
        @svg.text(x, y + 5, number.to_s, class: "noted-number", text_anchor: "middle")
      end
    end
  end
end
