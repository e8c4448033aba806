# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Short names for the kinds, so that a record's fields read like the job format.
    module Declare
      REQUIRED = Fields::REQUIRED

      module_function

      def length(default = REQUIRED, least: :zero) = [FieldKinds::LengthKind.new(least: least), default]

      def number(default = REQUIRED, **bounds) = [FieldKinds::NumberKind.between(**bounds), default]

      def count(default = REQUIRED, least: 0, most: 1_000_000) =
        [FieldKinds::CountKind.new(least: least, most: most), default]

      def choice(words, default = REQUIRED) = [FieldKinds::ChoiceKind.new(words: words), default]

      def flag(default) = [FieldKinds::FlagKind.new, default]

      def text(default = "", least: 0, most: 200) = [FieldKinds::TextKind.new(least: least, most: most), default]

      def id = text(REQUIRED, least: 1)

      def fullness = [FieldKinds::FullnessKind.new, REQUIRED]

      def list(kind, default = [].freeze, least: 0, most: 1000) =
        [FieldKinds::ListKind.new(kind: kind, least: least, most: most), default]

      # @param build [#call] takes the values and the problems' place
      def record(fields, default = REQUIRED, &build) =
        [FieldKinds::RecordKind.new(fields: fields, build: build), default]

      def allowance(default = Allowance::NONE)
        [FieldKinds::RecordKind.new(fields: ALLOWANCE, build: ->(values, _) { Allowance.new(**values) }), default]
      end
    end

    # An allowance as a document writes it.
    Declare::ALLOWANCE = Fields.new(
      kind: Declare.choice(Allowance::KINDS),
      depth: Declare.length(Length::ZERO),
      turn_under: Declare.length(Length::ZERO)
    )
  end
end
