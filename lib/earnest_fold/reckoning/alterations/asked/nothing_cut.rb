# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What is only hung or given hooks: its edges, its hem and its length stay as they came.
    module NothingCut
      LENGTHS = Declare.at(
        "measure",
        existing_length: Declare.length(least: :over_zero, sane: AskedOfCurtain::SANE),
        stand_up: Declare.length(Length::ZERO, least: :any, sane: Length.mm(2_000))
      ).freeze
      # What a heading may ask of a support is nobody's business here.
      SUPPORT = Support.new(
        kind: "track",
        length: Length.mm(1000),
        diameter: nil,
        projection: nil,
        carriers: nil,
        rating: nil,
        height: nil
      )

      # What a heading is asked that is made, and not one that came.
      OF_MAKING = %i[fullness top_turn turn_under stiffening stiffening_layers] +
        [Taped, Frilled, HookRows].flat_map { |part| part::FIELDS.names }

      # How one is made of what was said.
      module AsItCame
        # @param values [Hash] as FIELDS read them
        # @param problems [Problems]
        # @return [Alteration, nil] nil where nothing would be left to hang
        #
        #   said = {existing_length: Length.cm(2), stand_up: Length.cm(3), heading: treatment.heading}
        #   HangOnly.build(said, Problems.new) # => nil
        def build(values, problems)
          unless (values[:existing_length] - values[:stand_up]).positive?
            return problems.within(:stand_up).add(:nothing_hangs)
          end

          new(**values)
        end
      end

      def self.included(kind) = kind.extend(AsItCame)

      # @return [Boolean] whether it stays as it came
      #
      #   altered("hang_only").cuts_nothing? # => true
      def cuts_nothing? = true

      # @return [Length] as it hangs, from the point that lengths are measured from
      #
      #   altered("hang_only").wanted_length # => 2140 mm
      def wanted_length = existing_length - stand_up

      # @return [Array<Line>] none: nothing is measured off
      #
      #   altered("hang_only").from_the_top_line # => []
      def from_the_top_line = []
    end
  end
end
