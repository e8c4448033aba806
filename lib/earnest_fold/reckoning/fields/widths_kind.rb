# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # Widths of cloth: whole or half.
      class WidthsKind < Value.define
        include Kind

        MOST = 1000

        def read(raw, _unit, problems)
          number = Exact.read(raw)
          return problems.add(:not_half_widths) unless number&.positive? && (number * 2).denominator == 1
          return problems.add(:too_many, most: MOST) if number > MOST

          number
        end

        def take(typed, _unit) = Written.number(typed)

        def keep(raw, _unit) = Exact.written(raw)

        def write(kept) = Exact.read(kept)

        def plain_number?(_unit) = true

        def schema = {"type" => "number", "exclusiveMinimum" => 0, "maximum" => MOST, "multipleOf" => 1/2r}
      end
    end
  end
end
