# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # A list of like values.
      ListKind = Value.define(:kind, :least, :most) do
        include Kind

        def read(raw, unit, problems)
          return problems.add(:not_a_list) unless raw.is_a?(Array)
          return problems.add(:no_readings) if raw.size < least
          return problems.add(:too_many_items, most: most) if raw.size > most

          raw.each_with_index.map { |item, index| kind.read(item, unit, problems.within(index)) }.freeze
        end

        def keep(raw, unit) = raw.map { |item| kind.keep(item, unit) }

        def write(kept) = kept.map { |item| kind.write(item) }

        def schema = {"type" => "array", "minItems" => least, "maxItems" => most, "items" => kind.schema}
      end
    end
  end
end
