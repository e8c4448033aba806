# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # A whole number between bounds.
      CountKind = Value.define(:least, :most) do
        include Kind

        def read(raw, _unit, problems)
          number = Exact.read(raw)
          return problems.add(:not_a_count) unless number && number.denominator == 1
          return problems.add(:too_few, least: least) if number < least
          return problems.add(:too_many, most: most) if number > most

          number.numerator
        end

        def take(typed, _unit) = typed.match?(/\A\d{1,9}\z/) ? Integer(typed, 10) : typed

        def keep(raw, _unit) = raw.to_i

        def plain_number?(_unit) = true

        def schema = {"type" => "integer", "minimum" => least, "maximum" => most}
      end
    end
  end
end
