# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A top that is turned anew: turned alone, sewn as a casing for a rod, or hung from clips; stiffened where it was
    # said.
    module TopAnew
      MADE = %w[turned casing clips].freeze
      FIELDS = Declare.at(
        "alter",
        top_made: Declare.choice(MADE, "turned", said: "tops_made"),
        clips: Declare.count(nil, least: 2, most: 1000),
        top_stiffening: Declare.length(nil, least: :over_zero)
      ).freeze

      # @return [Length] what the new top takes
      #
      #   altered("from_flat_cloth").new_top # => 90 mm
      def new_top = top_allowance

      # @return [Boolean] whether a rod goes through it
      #
      #   altered("shorten_at_top").casing? # => false
      def casing? = top_made == "casing"

      # @return [Integer, nil] clips along one top; nil where it hangs from something else, or nobody said how many
      #
      #   altered("shorten_at_top").clipped # => nil
      def clipped = (top_made == "clips") ? clips : nil

      # @return [Length, nil] how deep its stiffening is
      #
      #   altered("shorten_at_top").top_stiffened # => nil
      def top_stiffened = top_stiffening
    end
  end
end
