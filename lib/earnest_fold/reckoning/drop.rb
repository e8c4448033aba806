# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # The readings of a drop and what ties them to the curtain: `stand_up` from the point measured from up to the curtain's
    # top edge, `offset` from the point measured to (−10 mm clears a floor, +150 mm goes below a sill).
    class Drop < Value.define(:readings, :stand_up, :offset)
      FIELDS = Fields.new(
        readings: Declare.list(FieldKinds::LengthKind.new(least: :over_zero), Declare::REQUIRED, least: 1, most: 50),
        stand_up: Declare.length(Length::ZERO, least: :any), offset: Declare.length(Length::ZERO, least: :any)
      )
      WIDE_SPREAD = Length.mm(10)

      # @return [Length] top edge to hem edge: the least reading decides
      def finished = shortest + stand_up + offset

      def shortest = readings.min

      # @return [Length] how far the readings lie apart
      def spread = readings.max - readings.min
    end
  end
end
