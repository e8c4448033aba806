# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # A few whole numbers, each at least one.
      class CountListKind < Value.define
        include Kind

        MOST = 100
        ONE = CountKind.new(least: 1, most: 1000)

        def read(raw, unit, problems)
          return problems.add(:not_a_list) unless raw.is_a?(Array)
          return problems.add(:empty_list) if raw.empty?
          return problems.add(:too_many, most: MOST) if raw.size > MOST

          raw.each_with_index.map { |item, index| ONE.read(item, unit, problems.within(index)) }.freeze
        end

        def show(kept, _unit) = Array(kept).join(", ")

        def take(typed, unit) = typed.split(/[\s,;]+/).map { |part| ONE.take(part, unit) }

        def schema = {"type" => "array", "minItems" => 1, "maxItems" => MOST, "items" => ONE.schema}
      end
    end
  end
end
