# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What the curtain hangs from. `length` is the usable length (a pole without its finials); diameter, projection,
    # carriers on hand, rating (kg) and height above the floor are nil where nobody has said.
    Support = Value.define(:kind, :length, :diameter, :projection, :carriers, :rating, :height) do
      # @param opening_kind [String, nil]
      # @param ordered_width [Object, nil] of each curtain, where somebody else measured
      # @return [Boolean] whether nothing can be reckoned without its length
      #
      #   Support.length_needed?("dress_pair") # => false
      def self.length_needed?(opening_kind, ordered_width = nil) = opening_kind != "dress_pair" && ordered_width.nil?

      # @param opening [Opening]
      # @param ordered [Ordered]
      # @return [Support, nil] with a length always: of a dress pair nobody has to measure it, nor where the curtains'
      #   widths were ordered; nil where it can't be done without
      #
      #   treatment.support.under(treatment.opening, treatment.ordered).length # => 1800 mm
      def under(opening, ordered)
        return self if length
        return with(length: opening.cover * Support::LIKELY_COVERS) if opening.kind == "dress_pair"

        likely = ordered.likely_support(opening)
        likely && with(length: likely)
      end
    end
    # A dress pair leaves about as much of the window free as each of its curtains covers, where nobody has said.
    Support::LIKELY_COVERS = 3
    Support::KINDS = %w[track pole rod batten].freeze
    Support::FIELDS = Fields.new(
      kind: Declare.choice(Support::KINDS, said: "supports"),
      length: Declare.length(nil, least: :over_zero, sane: Length.mm(60_000)),
      diameter: Declare.length(nil, least: :over_zero),
      projection: Declare.length(nil),
      carriers: Declare.count(nil),
      rating: Declare.number(nil, over: 0, most: 100_000),
      height: Declare.length(nil, least: :over_zero, sane: Length.mm(30_000))
    )
  end
end
