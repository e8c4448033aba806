# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Shortened at the foot, with a new hem.
    class ShortenAtHem < Value.define(
      :existing_length,
      :wanted_length,
      :stand_up,
      :existing_hem,
      :let_down,
      :hem,
      :sewn_by
    )
      include Alteration
      include ByPins
      include HemAnew

      KIND = "shorten_at_hem"
      FIELDS = Fields.new(
        **ByPins::LENGTHS,
        **ByPins::FOOT,
        **Declare.at("measure", existing_hem: Declare.allowance),
        **Declare.at(
          "alter",
          let_down: AskedOfCurtain::LET_DOWN,
          hem: AskedOfCurtain::ANEW
        ),
        **HemAnew::FIELDS
      )
      EXAMPLE = {
        "kind" => KIND,
        "existing_length" => "241 cm",
        "wanted_length" => "164 cm",
        "hem" => {"kind" => "double", "depth" => "8 cm"}
      }.freeze

      def self.place = 10

      def self.shortens? = true

      def figures = {cut_line: cut_line, remnant: available - cut_line}

      def checks
        return [] unless (available - cut_line).negative?

        [
          stop(
            "hem_short",
            "hem.depth",
            "wanted_length",
            missing: cut_line - available,
            deepest: [(available - from_the_top) / 2, Length::ZERO].max
          )
        ]
      end

      def working
        [
          *from_the_top_line,
          Line.of(:cut_line, cut_line, [from_the_top, "+", hem.taken]),
          Line.of(:remnant, available - cut_line, [available, "−", cut_line])
        ]
      end

      def contradictions = longer_than_it_is + hem_too_deep(hem, "hem.depth")

      # @param curtain [OwnCurtain]
      #
      #   altered("shorten_at_hem").lines(own_curtains).map(&:name) # => [:new_fold, :first_press, :cut_line]
      def lines(_curtain)
        first = hem.kind.then { |kind| (kind == "double") ? [line(:first_press, :fold, from_the_top + hem.depth)] : [] }
        [line(:new_fold, :fold, from_the_top), *first, line(:cut_line, :cut, cut_line)]
      end

      def extent(_curtain) = available

      def edges = {top: :kept, sides: :kept, hem: :new}

      def left_over(_curtain) = [available - cut_line, Length::ZERO].max

      def new_hem = hem

      private

      def cut_line = from_the_top + hem.taken
    end

    Alterations.register(ShortenAtHem::KIND, ShortenAtHem)
  end
end
