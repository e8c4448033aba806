# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # No curtain, cloth or hall is longer.
      LONGEST = Length.mm(100_000)

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
    end
  end
end
