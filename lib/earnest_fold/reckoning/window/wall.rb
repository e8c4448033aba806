# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Something on the wall behind a curtain: how far from the support's left end it starts, how wide it is, how far
    # below the support its top is, how tall it is, and how far it stands off the wall (nil where nobody has said).
    Feature = Value.define(:from_left, :width, :down, :height, :stands_off) do
      # @return [Length]
      #
      #   alcove = Feature.new(from_left: Length.cm(9), width: Length.cm(60), down: nil, height: nil, stands_off: nil)
      #   alcove.to_right # => 690 mm
      def to_right = from_left + width
    end
    Feature::FIELDS = Fields.new(
      from_left: Declare.length(Length::ZERO, least: :any),
      width: Declare.length(Length::ZERO),
      down: Declare.length(Length::ZERO, least: :any),
      height: Declare.length(Length::ZERO),
      stands_off: Declare.length(nil)
    )

    # What is on the wall behind: each a {Feature}, or nil where there is none.
    Wall = Value.define(:glass, :radiator, :sill, :worktop, :handle, :control, :cords) do
      # @return [Hash{Symbol => Feature}] those that are there
      #
      #   treatment.wall.features # => {}
      def features = to_h.compact

      # @return [Hash{Symbol => Feature}] those that a curtain can catch on, with how far each stands off
      #
      #   Wall.new(**Wall.members.to_h { |name| [name, nil] }).standing_off # => {}
      def standing_off = features.select { |_, feature| feature.stands_off&.positive? }
    end
    Wall::FIELDS = Fields.new(
      Wall.members.to_h { |name| [name, Declare.record(Feature::FIELDS, nil) { |values, _| Feature.new(**values) }] }
    )
    Wall::BARE = Wall.new(**Wall.members.to_h { |name| [name, nil] })
  end
end
