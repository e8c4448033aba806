# frozen_string_literal: true

module EarnestFold
  module Drawings
    # How far a job has come: a measuring tape run out as far as its stations are behind it.
    class TapeStrip
      WIDTH, HEIGHT = 300, 16

      # @param behind [Integer] stations that are behind, of all its works
      # @param all [Integer]
      # @param stopped [Boolean] whether a check stops any
      # @param says [String]
      def initialize(behind, all, stopped:, says:)
        @out = all.zero? ? 0 : WIDTH * behind / all
        @all, @stopped = all, stopped
        @svg = Svg.new(WIDTH, HEIGHT, says: says, css: "drawing tape-strip")
      end

      # @return [String]
      #
      #   size(Drawings::TapeStrip.new(2, 7, stopped: false, says: "")) # => "300 16"
      def to_s
        @svg.line(0, HEIGHT - 1, WIDTH, HEIGHT - 1, class: "tape-way")
        @svg.rect(0, 1, @out, HEIGHT - 2, class: "tape-out") if @out.positive?
        @svg.path((1..@out / 12).flat_map { |tick| ["M", tick * 12, HEIGHT - 1, "v", (tick % 5).zero? ? -8 : -5] },
          class: "tape-tick")
        @svg.rect(@out.clamp(0, WIDTH - 5), 0, 5, HEIGHT, class: @stopped ? "tape-end stopped" : "tape-end")
        @svg.to_s
      end
    end
  end
end
