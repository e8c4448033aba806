# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What the curtain hangs from. `length` is the usable length (a pole without its finials); diameter, projection,
    # carriers on hand, rating (kg) and height above the floor are nil where nobody has said.
    Support = Value.define(:kind, :length, :diameter, :projection, :carriers, :rating, :height)
    Support::KINDS = %w[track pole rod batten].freeze
    Support::FIELDS = Fields.new(
      kind: Declare.choice(Support::KINDS), length: Declare.length(least: :over_zero), diameter: Declare.length(nil, least: :over_zero),
      projection: Declare.length(nil), carriers: Declare.count(nil), rating: Declare.number(nil, over: 0, most: 100_000), height: Declare.length(nil, least: :over_zero)
    )
  end
end
