# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # The readings of a drop and what ties them to the curtain: `stand_up` from the point measured from up to the curtain's
    # top edge, `offset` from the point measured to (−10 mm clears a floor, +150 mm goes below a sill). Where they are nil they
    # follow from the points that were named, by heading and house rule ({MeasuredPoints}), or are nothing.
    class Drop < Value.define(:readings, :stand_up, :offset, :measured_from, :measured_to, :points)
      FIELDS = Fields.new(
        readings: Declare.list(FieldKinds::LengthKind.new(least: :over_zero), Declare::REQUIRED, least: 1, most: 50),
        stand_up: Declare.length(nil, least: :any), offset: Declare.length(nil, least: :any),
        measured_from: Declare.choice(MeasuredPoints::FROM, nil), measured_to: Declare.choice(MeasuredPoints::TO, nil),
        points: Declare.record(PointRules::FIELDS, PointRules::USUAL) { |values, _| PointRules.new(**values) }
      )
      WIDE_SPREAD = Length.mm(10)

      # @return [Length] the least reading decides
      def shortest = readings.min

      # @return [Length] how far the readings lie apart
      def spread = readings.max - readings.min
    end
  end
end
