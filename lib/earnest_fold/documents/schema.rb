# frozen_string_literal: true

require "json"

module EarnestFold
  module Documents
    # The JSON Schema of the job document, made from the fields that the core's records declare, and the check of a
    # document against it. The schema as published lies in schema/job.v1.json; a test holds it against what is made
    # here.
    module Schema
      R = Reckoning
      K = R::FieldKinds
      FILE = File.join(EarnestFold.root, "schema/job.v1.json")

      module_function

      # @return [Hash] plain values
      #
      #   Documents::Schema.to_h["type"] # => "object"
      def to_h
        {
          "$schema" => "https://json-schema.org/draft/2020-12/schema",
          "title" => "Earnest Fold job document, version 1",
          "type" => "object",
          "properties" => Plain.value(properties),
          "required" => %w[format version title unit cloths windows]
        }
      end

      # @param raw [Object] a parsed document
      # @return [Array<Array(String, String)>] the JSON Pointer and the validator's words for each place that doesn't
      #   fit
      #
      #   Documents::Schema.misfits({}).empty? # => false
      def misfits(raw)
        validator.validate(raw).map { |error| [error["data_pointer"], error["error"]] }.uniq
      end

      # @return [Hash] of a job, by name
      #
      #   Documents::Schema.properties.keys.first # => "format"
      def properties
        head = K.record_schema(JobFormat::HEAD)["properties"]
        head.merge(
          "cloths" => list(K.record_schema(R::Cloth::FIELDS)),
          "tapes" => list(K.record_schema(R::Tape::FIELDS)),
          "windows" => list(window),
          "alterations" => list(with_curtain(of_kinds(R::Alterations))),
          "small_parts" => list(with_cloth(of_kinds(R::SmallParts)))
        )
      end

      # @return [Hash] a JSON Schema object
      #
      #   Documents::Schema.window.keys # => ["type", "properties", "required"]
      def window
        record = K.record_schema(JobFormat::WINDOW)
        record.merge(
          "properties" => record["properties"].merge("treatments" => list(K.record_schema(R::Treatment::FIELDS))),
          "required" => %w[id treatments]
        )
      end

      # @param registry [Registry]
      # @return [Hash] a JSON Schema object
      #
      #   Documents::Schema.of_kinds(SmallParts).keys # => ["type", "properties", "required", "allOf"]
      def of_kinds(registry)
        record = K.kinds_schema(registry)
        record.merge(
          "properties" => {"id" => K::TextKind.new(least: 1, most: 200).schema}.merge(record["properties"]),
          "required" => %w[id kind]
        )
      end

      # An alteration may say of the curtain itself.
      def with_curtain(record) =
        record.merge("properties" => K.record_schema(R::OwnCurtain::FIELDS)["properties"].merge(record["properties"]))

      # A small part may say which cloth it is cut from.
      def with_cloth(record) =
        record.merge("properties" => record["properties"].merge("cloth" => {"type" => %w[string null]}))

      # @param items [Hash] a JSON Schema object
      # @return [Hash]
      #
      #   Documents::Schema.list({"type" => "string"}) # => {"type"=>"array", "items"=>{"type"=>"string"}}
      def list(items) = {"type" => "array", "items" => items}

      # Loaded when first asked for: it is the largest gem here.
      #
      #   Documents::Schema.validator.validate({}).any? # => true
      def validator
        @validator ||= begin
          require "json_schemer"
          JSONSchemer.schema(JSON.parse(File.read(FILE)))
        end
      end
    end
  end
end
