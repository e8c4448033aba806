# frozen_string_literal: true

module EarnestFold
  module Drawings
    # How near one figure is to another answer: the figure on a stretch of tape, and the edges below and above it at
    # their true distances; an edge that lies beyond what is looked at isn't there.
    class NearRuler
      WIDTH, HEIGHT, SIDE, LINE = 246, 26, 8, 13
      # The nearer edge stands at least so far from the figure, as a share of half the tape.
      TICKS = 24

      # @param near [Reckoning::Nearness::Near]
      # @param says [String]
      def initialize(near, says:)
        @near = near
        @svg = Svg.new(WIDTH, HEIGHT, says: says, css: "drawing near-ruler")
      end

      # @return [String]
      def to_s
        @svg.line(SIDE, LINE, WIDTH - SIDE, LINE, class: "dim")
        ticks
        [[@near.below, -1], [@near.above, 1]].each { |edge, way| edge_at(x(edge.apart * way)) if edge }
        @svg.circle(x(0), LINE, 4.5, class: "figure-at")
        @svg.to_s
      end

      private

      def ticks
        each = (WIDTH - 2 * SIDE) / TICKS.to_f
        commands = (0..TICKS).flat_map do |index|
          ["M", SIDE + each * index, LINE - ((index % 4).zero? ? 5 : 3), "V", LINE]
        end
        @svg.path(commands, class: "dim")
      end

      def edge_at(place) = @svg.line(place, LINE - 9, place, LINE + 9, class: "edge-at")

      # The further edge stands near the end of the tape.
      def x(apart) = WIDTH / 2 + (apart / furthest).to_f * (WIDTH / 2 - SIDE - 6)

      def furthest = @furthest ||= @near.edges.map(&:apart).max
    end
  end
end
