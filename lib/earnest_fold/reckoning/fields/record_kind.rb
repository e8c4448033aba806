# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # A record within a record, made by `build` from the hash that its fields read.
      RecordKind = Value.define(:fields, :build) do
        include Kind

        def read(raw, unit, problems)
          values = fields.read(raw, unit, problems)
          values && build.call(values, problems)
        end

        def keep(raw, unit) = fields.keep(raw, unit)

        def write(kept) = fields.write(kept)

        def inner(_kept) = fields

        def schema = FieldKinds.record_schema(fields)
      end
    end
  end
end
