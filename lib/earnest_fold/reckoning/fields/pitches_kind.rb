# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # One of the pitches that a tape has, with the mark by which it stands on it.
      Pitch = Value.define(:pitch, :mark)

      # The pitches of a tape, each with its own mark on it where there are several: typed one after the other, parted
      # by semicolons, what stands behind the length being the mark: "14 dot; 17.6 bar".
      class PitchesKind < Value.define
        include Kind

        MOST, LONGEST_MARK = 12, 40
        LENGTH = LengthKind.new(least: :over_zero, finest: Length.mm(5))
        FIELDS = Fields.new(
          pitch: [LENGTH, Fields::REQUIRED],
          mark: [TextKind.new(least: 0, most: LONGEST_MARK), ""]
        )
        # Up to where a length goes: figures, fractions and a unit.
        TYPED = %r{\A([\d\s.,/¼½¾⅛⅜⅝⅞⅓⅔]+(?:mm|cm|in|")?)\s*(.*)\z}m
        private_constant :TYPED

        def read(raw, unit, problems)
          return problems.add(:not_a_list) unless raw.is_a?(Array)
          return problems.add(:too_many, most: MOST) if raw.size > MOST

          raw.each_with_index.map { |one, index| pitch(one, unit, problems.within(index)) }.freeze
        end

        def show(kept, unit) =
          Array(kept).map { |one| [LENGTH.show(one["pitch"], unit), one["mark"]].reject { |part| part.to_s.empty? } }
            .map { |parts| parts.join(" ") }.join("; ")

        def take(typed, unit)
          typed.split(/[;\n]/).map(&:strip).reject(&:empty?).map do |one|
            length, mark = one.match(TYPED)&.captures || [one, ""]
            {"pitch" => LENGTH.take(length.strip, unit), "mark" => mark.strip[0, LONGEST_MARK]}
              .reject { |_, value| value.empty? }
          end
        end

        def keep(raw, unit) = raw.map { |one| FIELDS.keep(one, unit) }

        def write(kept) = kept.map { |one| FIELDS.write(one) }

        def longest = 400

        def schema
          {
            "type" => "array",
            "maxItems" => MOST,
            "items" => FieldKinds.record_schema(FIELDS)
          }
        end

        private

        def pitch(raw, unit, problems)
          values = FIELDS.read(raw, unit, problems)
          values && Pitch.new(**values)
        end
      end
    end
  end
end
