# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # The kinds of field that a record can declare, one file each beside this one. A kind reads a plain value
    # (`read(raw, unit, problems)` gives the value, or nil and a problem) and describes itself as JSON Schema
    # (`schema`).
    module FieldKinds
      # @return [Hash] a JSON Schema object; unknown fields are let be, for later versions
      def self.record_schema(fields)
        properties = fields.to_h { |field| [field.key, field_schema(field)] }
        {"type" => "object", "properties" => properties, "required" => fields.select(&:required?).map(&:key)}
      end

      # @param kinds [Enumerable] of headings, alterations or small parts

      # @return [Hash] a record of the kind it names: said with "if", so that what is wrong is said of that kind alone
      def self.kinds_schema(kinds)
        {
          "type" => "object",
          "properties" => {"kind" => {"enum" => kinds.map(&:kind)}},
          "required" => ["kind"],
          "allOf" => kinds.map do |kind|
            {"if" => {"properties" => {"kind" => {"const" => kind.kind}}}, "then" => record_schema(kind.fields)}
          end
        }
      end

      def self.field_schema(field)
        if field.default.nil? && !field.required?
          {"anyOf" => [field.kind.schema, {"type" => "null"}]}
        else
          field.kind.schema
        end
      end
    end
  end
end
