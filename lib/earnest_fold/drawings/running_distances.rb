# frozen_string_literal: true

module EarnestFold
  module Drawings
    # Running distances above a row of cloth: each cut's beginning, unless the one before ends there, and each cut's
    # end.
    # @api private
    class RunningDistances
      # Two figures nearer than this stand one above the other.
      NEAR = 52
      # How far above the cloth a line ends, as it is and where another is near.
      LOW, HIGH = 12, 34

      # @param svg [Svg] is drawn on
      # @param unit [Reckoning::Unit]
      # @param placed [Array<Reckoning::Cutting::Placed>] in order along the cloth
      def initialize(svg, unit, placed)
        @svg, @unit = svg, unit
        @ends = placed.flat_map { |one| [one.from, one.to] }.uniq
        @used = placed.last&.to
      end

      # @param row [BoltRow]
      def draw(row)
        near = nil
        lines = []
        told_in(row).each_cons(2) do |distance, following|
          at, beside = row.x(distance), following && row.x(following)
          high = near && at - near < NEAR
          near = high ? nil : at
          tall = high ? HIGH : LOW
          lines.push("M", at, row.y, "v", -tall)
          figure(distance, at, row.y - tall - 4, (beside if near && beside && beside - at < NEAR))
        end
        @svg.path(lines, class: "dim") unless lines.empty?
      end

      private

      # With nothing after the last: what ends just where a row does is told where the next begins, if there is a next.
      def told_in(row) =
        [*@ends.select { |at| at >= row.from && (at < row.to || (at == row.to && at == @used)) }, nil]

      # Beside its line, not across the next one's, where that stands higher and near.
      def figure(distance, at, y, beside)
        told = distance.zero? ? "0" : Words.length(distance, @unit)
        aside = beside && BoltRow.anchor(at).nil?
        place = aside ? [at + 4, beside - 3].min : at.clamp(BoltRow::SIDE, BoltRow::WIDTH - BoltRow::SIDE)
        @svg.text(place, y, told, class: "figure", text_anchor: aside ? "end" : BoltRow.anchor(at))
      end
    end
  end
end
