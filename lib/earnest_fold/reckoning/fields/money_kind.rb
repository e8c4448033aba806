# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # A sum of money, to the hundredth.
      class MoneyKind < Value.define
        include Kind

        PATTERN = /\A\d{1,9}([.,]\d{1,2})?\z/

        def read(raw, _unit, problems)
          return problems.add(:not_money) unless raw.is_a?(String) && raw.match?(PATTERN)

          Money.read(raw.tr(",", "."))
        end

        def take(typed, _unit) = Written.money(typed)

        def kept_of(value) = value.to_s

        def plain_number?(_unit) = true

        def schema = {"type" => "string", "pattern" => '^\d{1,9}([.,]\d{1,2})?$'}
      end
    end
  end
end
