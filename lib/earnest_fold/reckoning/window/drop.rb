# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A drop as it was given. `stand_up` and `offset` may have been left out: what they come to depends on the heading
    # and the support, so nobody reckons with this before it is {#hung}.
    class DropAsked < Value.define(:readings, :stand_up, :offset, :measured_from, :measured_to, :points)
      READING = FieldKinds::LengthKind.new(least: :over_zero, sane: Length.mm(20_000))
      FIELDS = Fields.new(
        readings: Declare.list(READING, least: 1, most: 50),
        stand_up: Declare.length(nil, least: :any, sane: Length.mm(2_000)),
        offset: Declare.length(nil, least: :any, sane: Length.mm(2_000)),
        measured_from: Declare.choice(MeasuredPoints::FROM, nil, said: "points"),
        measured_to: Declare.choice(MeasuredPoints::TO, nil, said: "points"),
        points: Declare.record(PointRules::FIELDS, PointRules::USUAL) { |values, _| PointRules.new(**values) }
      )

      # Before anything was measured: what nobody reckons with.
      UNMEASURED = new(
        **FIELDS.to_h { |field| [field.name, field.default] }
      )

      # @param heading [Heading]
      # @param support [Support]
      # @return [Drop]
      #
      #   treatment.drop.asked.hung(treatment.heading, treatment.support).stand_up # => 0 mm
      def hung(heading, support)
        rise = stand_up_by(heading, support)
        Drop.new(
          asked: self,
          suited: !rise.nil?,
          rise: rise || MeasuredPoints::NOTHING,
          offset: offset || MeasuredPoints.offset(self)
        )
      end

      private

      # @return [MeasuredPoints::Amount, nil] nil where the point named doesn't suit the heading
      def stand_up_by(heading, support)
        return MeasuredPoints::Amount.new(length: stand_up, expression: []) if stand_up

        measured_from ? MeasuredPoints.stand_up(self, heading, support) : MeasuredPoints::NOTHING
      end
    end

    # The readings of a drop and what ties them to the curtain: `stand_up` from the point measured from up to the
    # curtain's top edge, `offset` from the point measured to (−10 mm clears a floor, +150 mm goes below a sill). Both
    # are there always: as given, or as they follow from the points that were named, by heading and house rule
    # ({MeasuredPoints}), or nothing.
    class Drop < Value.define(:asked, :suited, :rise, :offset)
      WIDE_SPREAD = Length.mm(10)

      # @return [Drop] the same readings under another heading or support
      #
      #   treatment.drop.hung(treatment.heading, treatment.support).shortest # => 2138 mm
      def hung(heading, support) = asked.hung(heading, support)

      # @return [Array<Length>] at least one
      #
      #   treatment.drop.readings # => [2140 mm, 2144 mm, 2138 mm]
      def readings = asked.readings

      # @return [PointRules] what the workroom's hardware measures
      #
      #   treatment.drop.points.hook_drop # => 0 mm
      def points = asked.points

      # @return [String, nil] the point that the readings were taken from
      #
      #   treatment.drop.measured_from # => nil
      def measured_from = asked.measured_from

      # @return [String, nil] the point that they were taken to
      #
      #   treatment.drop.measured_to # => nil
      def measured_to = asked.measured_to

      # @return [Boolean] whether the point measured from suits the heading; where it doesn't, the stand-up is nothing
      #
      #   treatment.drop.suited? # => true
      def suited? = suited

      # @return [Length] from the point measured from up to the top edge; below it: negative
      #
      #   treatment.drop.stand_up # => 0 mm
      def stand_up = rise.length

      # @return [Array] the sum that made the stand-up; empty where it was given
      #
      #   treatment.drop.stand_up_expression # => []
      def stand_up_expression = rise.expression

      # @return [Length] the least reading decides
      #
      #   treatment.drop.shortest # => 2138 mm
      def shortest = readings.min

      # @return [Length] how far the readings lie apart
      #
      #   treatment.drop.spread # => 6 mm
      def spread = readings.max - readings.min
    end
  end
end
