# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
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
    end
  end
end
