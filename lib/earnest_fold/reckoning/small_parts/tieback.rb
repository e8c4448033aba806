# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A band round the dressed curtain: folded to its centre and in half, so that no raw edge is left, or turned
    # through.
    class Tieback < Value.define(:girth, :ease, :finished_depth, :end_turn, :make, :seam, :count)
      include SmallPart

      KIND = "tieback"
      MAKES = %w[folded turned_through].freeze
      FIELDS = Fields.new(
        girth: Declare.length(least: :over_zero),
        ease: Declare.length(Length::ZERO),
        finished_depth: Declare.length(least: :over_zero),
        end_turn: Declare.length(Length::ZERO),
        make: Declare.choice(MAKES, "folded"),
        seam: Declare.length(Length::ZERO),
        count: Declare.count(2, least: 1, most: 1000)
      )
      EXAMPLE = {
        "kind" => KIND,
        "girth" => "52 cm",
        "ease" => "4 cm",
        "finished_depth" => "6 cm",
        "end_turn" => "1.5 cm"
      }.freeze

      # @return [Length]
      def length = finished_length + end_turn * 2

      # @return [Length]
      def depth = (make == "folded") ? finished_depth * 4 : finished_depth * 2 + seam * 2

      def working
        [
          Line.of(:tieback_finished, finished_length, [girth, "+", ease]),
          Line.of(:part_length, length, [finished_length, "+", 2, "×", end_turn]),
          Line.of(
            :part_depth,
            depth,
            (make == "folded") ? [4, "×", finished_depth] : [2, "×", finished_depth, "+", 2, "×", seam]
          )
        ]
      end

      private

      def finished_length = girth + ease
    end

    SmallParts.register(Tieback::KIND, Tieback)
  end
end
