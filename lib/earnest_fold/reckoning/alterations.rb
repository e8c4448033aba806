# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # The contract of an alteration, with what most of them answer alike: a frozen value that declares `KIND`, `FIELDS` and
    # `EXAMPLE`, answers its `figures`, its `checks` and its `working`, and registers itself in {Alterations}. One kind is one
    # file in alterations/.
    module Alteration
      def self.included(kind) = kind.extend(Kind)

      # What the class of an alteration answers.
      module Kind
        def kind = self::KIND

        def fields = self::FIELDS

        def example = self::EXAMPLE

        # @param values [Hash] as FIELDS read them
        # @param problems [Problems]
        # @return [Alteration, nil] nil where nothing would be left to hang
        def build(values, problems)
          return problems.within(:wanted_length).add(:nothing_hangs) unless (values[:wanted_length] + values[:stand_up]).positive?

          new(**values)
        end
      end

      # @return [Length] the wanted length as measured from the top edge
      def from_the_top = wanted_length + stand_up

      # @return [Length] the cloth there is below the top edge, with the old hem where it is let down
      def available = let_down ? existing_length + existing_hem.taken : existing_length

      # @return [Hash{Symbol => Object}]
      def figures = raise(NotImplementedError)

      # @return [Array<Check>]
      def checks = []

      # @return [Array<Line>]
      def working = []

      def stop(code, **data) = Check.new(code: code, level: :stop, data: data)

      # How the length from the top edge came about.
      def from_the_top_line
        return [] if stand_up.zero?

        [Line.of(:from_the_top, from_the_top, [wanted_length, stand_up.negative? ? "−" : "+", stand_up.abs])]
      end
    end

    # The kinds of alteration.
    Alterations = Registry.new(:kind, :fields, :example, :build)

    # An alteration of a job, under its id.
    AlterationOfJob = Value.define(:id, :alteration)

    # The lengths that nearly every alteration starts from.
    ALTERED_LENGTHS = {existing_length: Declare.length(least: :over_zero), wanted_length: Declare.length(least: :over_zero),
                       stand_up: Declare.length(Length::ZERO, least: :any)}.freeze
  end
end
