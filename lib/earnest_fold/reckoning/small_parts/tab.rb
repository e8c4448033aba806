# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A loop over the pole, or a tie: a strip that goes half round it, across it, and down on both sides.
    class Tab < Value.define(:diameter, :drop, :tab_width, :seam, :count)
      include SmallPart

      KIND = "tab"
      FIELDS = Fields.new(
        diameter: Declare.length(least: :over_zero),
        drop: Declare.length,
        tab_width: Declare.length(least: :over_zero),
        seam: Declare.length(Length::ZERO),
        count: Declare.count(least: 1, most: 1000)
      )
      EXAMPLE = {
        "kind" => KIND,
        "diameter" => "2.8 cm",
        "drop" => "5 cm",
        "tab_width" => "5 cm",
        "seam" => "1.5 cm",
        "count" => 9
      }.freeze

      # @return [Length]
      #
      #   small_part("tab").length.mm.round # => 202
      def length = diameter * Counting::PI / 2 + diameter + drop * 2 + seam * 2

      # Both faces of the tab and the seams at its edges.
      # @return [Length]
      #
      #   small_part("tab").depth # => 130 mm
      def depth = tab_width * 2 + seam * 2

      def working
        [
          Line.of(
            :part_length,
            length,
            [Counting::PI, "×", diameter, "÷", 2, "+", diameter, "+", 2, "×", drop, "+", 2, "×", seam]
          ),
          Line.of(:part_depth, depth, [2, "×", tab_width, "+", 2, "×", seam])
        ]
      end
    end

    SmallParts.register(Tab::KIND, Tab)
  end
end
