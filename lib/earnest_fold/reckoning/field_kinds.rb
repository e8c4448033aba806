# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # The kinds of field that a record can declare. Each reads a plain value (`read(raw, unit, problems)` gives the
    # value, or nil and a problem) and describes itself as JSON Schema (`schema`).
    module FieldKinds
      # A length. `least` is :over_zero, :zero or :any.
      LengthKind = Value.define(:least) do
        def read(raw, unit, problems)
          length = raw.is_a?(String) ? LengthReader.read(raw, unit) : exact(raw, unit)
          return problems.add(:not_a_length) unless length
          return problems.add(:not_over_zero) if least == :over_zero && !length.positive?
          return problems.add(:below_zero) if least == :zero && length.negative?
          return problems.add(:too_long, most: LONGEST) if length.abs > LONGEST

          length
        end

        def exact(raw, unit) = (number = Exact.read(raw)) && Length.new(number * unit.size)

        def schema
          number = {
            over_zero: {"type" => "number", "exclusiveMinimum" => 0},
            zero: {"type" => "number", "minimum" => 0}
          }
          {
            "anyOf" => [
              number.fetch(least, {"type" => "number"}),
              {"type" => "string", "minLength" => 1, "maxLength" => LengthReader::LONGEST_TEXT}
            ]
          }
        end
      end

      # No curtain, cloth or hall is longer.
      LONGEST = Length.mm(100_000)

      # A number between bounds; a bound is given with whether it belongs.
      NumberKind = Value.define(:over, :least, :under, :most) do
        def self.between(over: nil, least: nil, under: nil, most: nil) =
          new(over: over, least: least, under: under, most: most)

        def read(raw, _unit, problems)
          number = Exact.read(raw)
          return problems.add(:not_a_number) unless number
          return problems.add(:not_over_zero) if over == 0 && number <= 0
          return problems.add(:out_of_range, **to_h) unless inside?(number)

          number
        end

        def inside?(number)
          (over.nil? || number > over) && (least.nil? || number >= least) && (under.nil? || number < under) &&
            (most.nil? || number <= most)
        end

        def schema
          {
            "type" => "number",
            "exclusiveMinimum" => over,
            "minimum" => least,
            "exclusiveMaximum" => under,
            "maximum" => most
          }.compact
        end
      end

      # A whole number between bounds.
      CountKind = Value.define(:least, :most) do
        def read(raw, _unit, problems)
          number = Exact.read(raw)
          return problems.add(:not_a_count) unless number && number.denominator == 1
          return problems.add(:too_few, least: least) if number < least
          return problems.add(:too_many, most: most) if number > most

          number.numerator
        end

        def schema = {"type" => "integer", "minimum" => least, "maximum" => most}
      end

      # Widths of cloth: whole or half.
      class WidthsKind < Value.define
        MOST = 1000

        def read(raw, _unit, problems)
          number = Exact.read(raw)
          return problems.add(:not_half_widths) unless number&.positive? && (number * 2).denominator == 1
          return problems.add(:too_many, most: MOST) if number > MOST

          number
        end

        def schema = {"type" => "number", "exclusiveMinimum" => 0, "maximum" => MOST, "multipleOf" => 1/2r}
      end

      # One of a few words.
      ChoiceKind = Value.define(:words) do
        def read(raw, _unit, problems) = words.include?(raw) ? raw : problems.add(:not_a_choice, words: words)

        def schema = {"enum" => words}
      end

      # Yes or no.
      class FlagKind < Value.define
        def read(raw, _unit, problems) = [true, false].include?(raw) ? raw : problems.add(:not_yes_or_no)

        def schema = {"type" => "boolean"}
      end

      # Words of a person; an id must say something.
      TextKind = Value.define(:least, :most) do
        def read(raw, _unit, problems)
          return problems.add(:not_text) unless raw.is_a?(String) && raw.valid_encoding? && !raw.include?("\u0000")
          return problems.add(:empty) if raw.strip.size < least
          return problems.add(:too_much_text, most: most) if raw.size > most

          raw
        end

        def schema = {"type" => "string", "minLength" => least, "maxLength" => most}
      end

      # Money by the metre, as a decimal written in a string.
      class PriceKind < Value.define
        PATTERN = /\A\d{1,9}([.,]\d{1,4})?\z/

        def read(raw, _unit, problems)
          return problems.add(:not_a_price) unless raw.is_a?(String) && raw.strip.match?(PATTERN)

          Rational(raw.strip.tr(",", "."))
        end

        def schema = {"type" => "string", "pattern" => '^\s*\d{1,9}([.,]\d{1,4})?\s*$'}
      end

      # A few whole numbers, each at least one.
      class CountListKind < Value.define
        MOST = 100
        ONE = CountKind.new(least: 1, most: 1000)

        def read(raw, unit, problems)
          return problems.add(:not_a_list) unless raw.is_a?(Array)
          return problems.add(:empty_list) if raw.empty?
          return problems.add(:too_many, most: MOST) if raw.size > MOST

          raw.each_with_index.map { |item, index| ONE.read(item, unit, problems.within(index)) }.freeze
        end

        def schema = {"type" => "array", "minItems" => 1, "maxItems" => MOST, "items" => ONE.schema}
      end

      # A list of like values.
      ListKind = Value.define(:kind, :least, :most) do
        def read(raw, unit, problems)
          return problems.add(:not_a_list) unless raw.is_a?(Array)
          return problems.add(:no_readings) if raw.size < least
          return problems.add(:too_many, most: most) if raw.size > most

          raw.each_with_index.map { |item, index| kind.read(item, unit, problems.within(index)) }.freeze
        end

        def schema = {"type" => "array", "minItems" => least, "maxItems" => most, "items" => kind.schema}
      end

      # A record within a record, made by `build` from the hash that its fields read.
      RecordKind = Value.define(:fields, :build) do
        def read(raw, unit, problems)
          values = fields.read(raw, unit, problems)
          values && build.call(values, problems)
        end

        def schema = FieldKinds.record_schema(fields)
      end

      # Fullness in any of its three writings.
      class FullnessKind < Value.define
        RATIO = NumberKind.between(over: 0, most: 100)
        PERCENT = NumberKind.between(over: 0, most: 10_000)
        ADDED = NumberKind.between(over: -100, most: 10_000)
        WRITINGS = {"ratio" => RATIO, "percent_total" => PERCENT, "percent_added" => ADDED}.freeze

        def read(raw, unit, problems)
          return ratio(raw, unit, problems) unless raw.is_a?(Hash)

          writing = raw.keys & WRITINGS.keys
          return problems.add(:not_fullness) unless writing.size == 1

          number = WRITINGS[writing.first].read(raw[writing.first], unit, problems.within(writing.first))
          number && Fullness.public_send(writing.first, number)
        end

        def ratio(raw, unit, problems) = (number = RATIO.read(raw, unit, problems)) && Fullness.ratio(number)

        def schema
          written = WRITINGS.map do |key, kind|
            {"type" => "object", "properties" => {key => kind.schema}, "required" => [key]}
          end
          {"anyOf" => [RATIO.schema, *written]}
        end
      end

      # @return [Hash] a JSON Schema object; unknown fields are let be, for later versions
      def self.record_schema(fields)
        properties = fields.to_h { |field| [field.key, field_schema(field)] }
        {"type" => "object", "properties" => properties, "required" => fields.select(&:required?).map(&:key)}
      end

      # @param kinds [Enumerable] of headings, alterations or small parts
      # @return [Hash] a record of the kind it names: said with "if", so that what is wrong is said of that kind alone
      def self.kinds_schema(kinds)
        {
          "type" => "object",
          "properties" => {"kind" => {"enum" => kinds.map(&:kind)}},
          "required" => ["kind"],
          "allOf" => kinds.map do |kind|
            {"if" => {"properties" => {"kind" => {"const" => kind.kind}}}, "then" => record_schema(kind.fields)}
          end
        }
      end

      def self.field_schema(field)
        if field.default.nil? && !field.required?
          {"anyOf" => [field.kind.schema, {"type" => "null"}]}
        else
          field.kind.schema
        end
      end
    end
  end
end
