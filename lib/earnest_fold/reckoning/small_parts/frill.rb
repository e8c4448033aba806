# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A frill standing up above a tape heading; its fold is never pressed.
    class Frill < Value.define(:heading_length, :frill, :seam, :count)
      include SmallPart

      KIND = "frill"
      FIELDS = Fields.new(
        heading_length: Declare.length(least: :over_zero),
        frill: Declare.length(least: :over_zero),
        seam: Declare.length(Length::ZERO),
        count: Declare.count(1, least: 1, most: 1000)
      )
      EXAMPLE = {"kind" => KIND, "heading_length" => "263 cm", "frill" => "5 cm", "seam" => "1.5 cm"}.freeze

      # @return [Length]
      #
      #   small_part("frill").length # => 2660 mm
      def length = heading_length + seam * 2

      # @return [Length]
      #
      #   small_part("frill").depth # => 130 mm
      def depth = frill * 2 + seam * 2

      # @return [Length] of the seam by which strips of it are joined where no cloth is long enough for it whole
      #
      #   small_part("frill").joined_by # => 15 mm
      def joined_by = seam

      def working
        [
          Line.of(:part_length, length, [heading_length, "+", 2, "×", seam]),
          Line.of(:part_depth, depth, [2, "×", frill, "+", 2, "×", seam])
        ]
      end
    end

    SmallParts.register(Frill::KIND, Frill)
  end
end
