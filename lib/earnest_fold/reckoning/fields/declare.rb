# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Short names for the kinds, so that a record's fields read like the job format.
    module Declare
      REQUIRED = Fields::REQUIRED

      module_function

      # @param station [String] at which these are filled in
      # @return [Hash{Symbol => Array}] the same, with their station
      #
      #   Declare.at("cloth", ease: Declare.length(Length::ZERO))[:ease][2] # => "cloth"
      def at(station, **fields) = fields.transform_values { |kind, default, _, start| [kind, default, station, start] }

      # @param start [Object] what a new record has in it, as it would be kept
      # @return [Array] the same field, with that
      #
      #   Declare.starting("2 cm", [:length, nil]) # => [:length, nil, nil, "2 cm"]
      def starting(start, field) = [*field.first(2), nil, start]

      # @param sane [Length, nil] the most that anybody means by it
      # @param finest [Length, nil] the least that it can be, unless it is nothing
      #
      #   Declare.length(nil).last # => nil
      def length(default = REQUIRED, least: :zero, sane: nil, finest: nil) =
        [FieldKinds::LengthKind.new(least: least, sane: sane, finest: finest), default]

      # Nothing comes again closer than this: hooks, eyelets, pockets, or a pattern.
      FINEST = Length.mm(5)

      # A distance at which something comes again.
      #
      #   Declare.pitch.first.finest # => 5 mm
      def pitch(default = REQUIRED) = length(default, least: :over_zero, finest: FINEST)

      # @param bounds [Hash{Symbol => Rational}] over, least, under, most
      #
      #   Declare.number(over: 0).first.inside?(0) # => false
      def number(default = REQUIRED, **bounds) = [FieldKinds::NumberKind.between(**bounds), default]

      # @param bounds [Hash{Symbol => Rational}] over, least, under, most
      #
      #   Declare.percent(5).last # => 5
      def percent(default = REQUIRED, **bounds) = [FieldKinds::PercentKind.between(**bounds), default]

      # @param least [Integer]
      # @param most [Integer]
      #
      #   Declare.count(2).last # => 2
      def count(default = REQUIRED, least: 0, most: 1_000_000) =
        [FieldKinds::CountKind.new(least: least, most: most), default]

      # @param said [String, nil] where the words stand in the locale file
      #
      #   Declare.choice(%w[left right], "left").last # => "left"
      def choice(words, default = REQUIRED, said: nil) = [FieldKinds::ChoiceKind.new(words: words, said: said), default]

      # @param registry [Registry] whose names there are to choose from
      #
      #   Declare.name_of(Headings, said: nil).first.words.first # => "buckram_panel"
      def name_of(registry, said:) = [FieldKinds::NameKind.new(registry: registry, said: said), REQUIRED]

      # @param default [Boolean]
      #
      #   Declare.flag(false).last # => false
      def flag(default) = [FieldKinds::FlagKind.new, default]

      # @param least [Integer] characters
      # @param most [Integer] characters
      #
      #   Declare.text.last # => ""
      def text(default = "", least: 0, most: 200) = [FieldKinds::TextKind.new(least: least, most: most), default]

      # A name by which others speak of the record.
      #
      #   Declare.id.first.least # => 1
      def id = text(REQUIRED, least: 1)

      # A fullness has to be said, in any of its writings.
      #
      #   Declare.fullness.first.decides? # => false
      def fullness = [FieldKinds::FullnessKind.new, REQUIRED]

      # @param kind [FieldKinds::Kind] of each
      # @param least [Integer]
      # @param most [Integer]
      #
      #   Declare.list(FieldKinds::FlagKind.new).last # => []
      def list(kind, default = [].freeze, least: 0, most: 1000) =
        [FieldKinds::ListKind.new(kind: kind, least: least, most: most), default]

      # @param build [#call] takes the values and the problems' place
      #
      #   Declare.record(Flaw::FIELDS, nil).last # => nil
      def record(fields, default = REQUIRED, &build) =
        [FieldKinds::RecordKind.new(fields: fields, build: build), default]

      # What is turned, by its kind and its depth.
      #
      #   Declare.allowance.last.kind # => "none"
      def allowance(default = Allowance::NONE)
        [FieldKinds::RecordKind.new(fields: ALLOWANCE, build: ->(values, _) { Allowance.new(**values) }), default]
      end
    end

    # An allowance as a document writes it.
    Declare::ALLOWANCE = Fields.new(
      kind: Declare.choice(Allowance::KINDS, said: "turnings"),
      depth: Declare.length(Length::ZERO),
      turn_under: Declare.length(Length::ZERO)
    )
  end
end
