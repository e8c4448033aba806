# frozen_string_literal: true

module EarnestFold
  module Drawings
    # What lies on the shelf of a cloth as a bar, and a stroke at what is needed of it.
    class NeedBar
      WIDTH, HEIGHT, TOP, TALL = 240, 24, 5, 14

      # @param there [Reckoning::Length]
      # @param needed [Reckoning::Length]
      # @param colour [String] the cloth's
      # @param says [String]
      def initialize(there, needed, colour, says:)
        @there, @needed, @colour = there, needed, colour
        @scale = Scale.new((WIDTH - 4) / [there, needed].max.mm.to_f.clamp(1, nil))
        @svg = Svg.new(WIDTH, HEIGHT, says: says, css: "drawing need-bar")
      end

      # @return [String]
      #
      #   size(Drawings::NeedBar.new(Length.cm(900), Length.cm(1030), "#c8b79a", says: "")) # => "240 24"
      def to_s
        short if @needed > @there
        @svg.rect(1, TOP, @scale[@there], TALL, fill: Tint.of(@colour), class: "piece-left") if @there.positive?
        at = 1 + @scale[@needed]
        @svg.line(at, 1, at, HEIGHT - 1, class: (@needed > @there) ? "over" : "needed")
        @svg.to_s
      end

      private

      def short = @svg.rect(1 + @scale[@there], TOP, @scale[@needed - @there], TALL, class: "gone")
    end
  end
end
