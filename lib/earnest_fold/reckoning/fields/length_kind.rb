# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # No curtain, cloth or hall is longer.
      LONGEST = Length.mm(100_000)

      # A length. `least` is :over_zero, :zero or :any; `sane` the most that anybody means by it, nil where it can be
      # anything: a slip of the unit is caught before cloth is reckoned for it. `finest` is the least that it can be
      # unless it is nothing: finer than that nothing is made, and there would be more of it than can be drawn.
      class LengthKind < Value.define(:least, :sane, :finest)
        include Kind

        def initialize(least:, sane: nil, finest: nil) = super

        def read(raw, unit, problems)
          length = exactly(raw, unit)
          return problems.add(:not_a_length) unless length
          return problems.add(:not_over_zero) if least == :over_zero && !length.positive?
          return problems.add(:below_zero) if least == :zero && length.negative?
          return problems.add(:too_long, most: LONGEST) if length.abs > LONGEST
          return problems.add(:too_fine, least: finest) if finest && !length.zero? && length < finest

          length
        end

        # @param raw [Object] as a document has it, or as it is kept
        # @param unit [Unit] of one that names none
        # @return [Length, nil] whatever its bounds; nil for what is none
        #
        #   Support::FIELDS.fetch(:length).kind.exactly("180", Units::CM) # => 1800 mm
        def exactly(raw, unit)
          return LengthReader.read(raw, unit) if raw.is_a?(String)

          (number = Exact.read(raw)) && Length.new(number * unit.size)
        end

        # It stays as it was typed while it is shown in the unit it was typed in; and so that it can be mended, where it
        # can't be read.
        #
        #   Support::FIELDS.fetch(:length).kind.show("180 cm", Units::CM) # => "180"
        def show(kept, unit)
          return "" if kept.nil?

          typed, named = kept.to_s.match(/\A(.+?) (mm|cm|in)\z/)&.captures
          return typed if named == unit.name && !LengthReader.unit_named?(typed)

          length = LengthReader.read(kept.to_s, unit)
          length ? LengthWriter.write(length, unit).tr("−", "-") : kept.to_s
        end

        def take(typed, unit) = LengthReader.unit_named?(typed) ? typed : "#{typed} #{unit.name}"

        def keep(raw, unit) =
          (raw.is_a?(String) && LengthReader.unit_named?(raw)) ? raw : "#{Exact.written(raw)} #{unit}"

        def kept_of(value) = "#{Exact.written(value.mm)} mm"

        # What stands in metres may well have three decimals, and inches do behind a point.
        MARKS = {"m" => "", "mm" => ".,", "cm" => ".,"}.freeze

        def doubt(kept, unit)
          either = either_way(kept, unit) and return either

          length = sane && exactly(kept, unit)
          [:absurd, {given: length, most: sane}] if length && length.abs > sane && length.abs <= LONGEST
        end

        # Inches need a stroke and a space, and what may lie on either side a sign.
        #
        #   Support::FIELDS.fetch(:length).kind.plain_number?(Units::CM) # => true
        def plain_number?(unit) = !unit.inches? && least != :any

        def schema
          number = {
            over_zero: {"type" => "number", "exclusiveMinimum" => 0},
            zero: {"type" => "number", "minimum" => 0}
          }
          {
            **(finest ? {"description" => "at least #{finest}#{", or nothing" if least == :zero}"} : {}),
            "anyOf" => [
              number.fetch(least, {"type" => "number"}),
              {"type" => "string", "minLength" => 1, "maxLength" => LengthReader::LONGEST_TEXT}
            ]
          }
        end

        private

        # A figure that could not be meant with thousands is none of those.
        def either_way(kept, unit)
          text = kept.to_s
          code, facts = Written.doubt(text, MARKS.fetch(text[/[a-z]+\z/] || unit.name, ","))
          more = code && exactly(facts[:offer], unit)
          [code, facts] if more && more.abs <= (sane || LONGEST)
        end
      end
    end
  end
end
