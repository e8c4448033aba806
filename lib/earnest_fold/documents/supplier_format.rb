# frozen_string_literal: true

require "json"

module EarnestFold
  module Documents
    # What a supplier is asked and says ({Work::SupplierSays}) as JSON, and its schema (schema/supplier.v1.json).
    module SupplierFormat
      R = Reckoning
      SAID, ASKED = Work::SupplierSays::SAID, Work::SupplierSays::ASKED

      module_function

      # @param what [Symbol] of SAID
      # @param text [String] JSON, as it came
      # @return [Hash] plain values, as they are to be kept
      # @raise [Reckoning::Invalid]
      def read(what, text)
        raw = JobFormat.parse(text)
        Work::SupplierSays.read(what, raw)
        SAID.fetch(what).keep(raw, R::Units::MM.name)
      end

      # @param values [Hash] plain values, as ASKED declares them
      # @return [String] JSON, as it goes out
      #
      #   Documents::SupplierFormat.write({"cloth" => "plain"}) # => "{\"cloth\":\"plain\"}"
      def write(values) = JSON.generate(values)

      # @return [Hash] JSON Schema of everything that is asked and said
      #
      #   Documents::SupplierFormat.schema.keys # => ["$schema", "title", "$defs"]
      def schema = {
        "$schema" => "https://json-schema.org/draft/2020-12/schema",
        "title" => "What a supplier of cloth is asked and says, version 1",
        "$defs" => {
          **ASKED.to_h { |name, fields| ["asked_#{name}", Plain.value(R::FieldKinds.record_schema(fields))] },
          **SAID.to_h { |name, fields| [name.to_s, Plain.value(R::FieldKinds.record_schema(fields))] }
        }
      }
    end
  end
end
