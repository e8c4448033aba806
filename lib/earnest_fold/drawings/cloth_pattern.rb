# frozen_string_literal: true

module EarnestFold
  module Drawings
    # The pattern along a row of cloth: a line where each repeat begins, and in each a motif, its tip towards the
    # curtain's top.
    # @api private
    class ClothPattern
      # Lines of repeats closer than this are left out; a motif needs more room.
      LEAST_REPEAT, LEAST_MOTIF = 7, 24
      # How high in the cloth a motif stands, as parts of its width.
      ACROSS = [0.25, 0.75].freeze

      # @param svg [Svg] is drawn on
      # @param scale [Scale]
      # @param cloth [Reckoning::Cloth]
      # @param start [Reckoning::Length] from the piece's end to where the first repeat begins
      def initialize(svg, scale, cloth, start)
        @svg, @start, @repeat = svg, start, cloth.vertical_repeat
        @step = cloth.repeats? ? scale[@repeat] : 0
      end

      # @param row [BoltRow]
      def draw(row)
        return if @step < LEAST_REPEAT

        counts = ((row.from - @start) / @repeat).ceil..((row.to - @start) / @repeat).floor
        begins = counts.map { |count| begins(row, count) }
        @svg.path(begins.flat_map { |at| ["M", at, row.y, "v", row.tall] }, class: "repeat")
        motifs([begins(row, counts.begin - 1), *begins], row) if @step > LEAST_MOTIF
      end

      private

      def begins(row, count) = row.x(@start + @repeat * count)

      def motifs(begins, row)
        @svg.path(
          begins.product(ACROSS).flat_map { |at, part| ["M", at + @step * 0.8, row.y + row.tall * part, sprig] },
          class: "motif"
        )
      end

      def sprig
        @sprig ||= Svg.commands(
          ["h", -@step * 0.5, "m", @step * 0.16, -@step * 0.12, "q", -@step * 0.03, @step * 0.1, -@step * 0.16,
            @step * 0.12]
        )
      end
    end
  end
end
