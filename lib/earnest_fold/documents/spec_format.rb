# frozen_string_literal: true

module EarnestFold
  module Documents
    # Between a job document, where a plain number is in the document's unit, and what is kept of it, where each
    # length carries its unit and each number is the text that was written. Both ways by the fields that the records
    # declare, so that nothing is read twice or lost.
    module SpecFormat
      R = Reckoning
      K = R::FieldKinds

      module_function

      # @param raw [Hash] as a document has it
      # @param fields [Reckoning::Fields]
      # @param unit [String] the document's
      # @return [Hash] to keep
      def to_spec(raw, fields, unit) = walk(raw, fields) { |kind, value| kept(kind, value, unit) }

      # @param spec [Hash] as kept
      # @return [Hash] as a document has it
      def to_document(spec, fields) = walk(spec, fields) { |kind, value| written(kind, value) }

      # What a document has beside cloths and windows: each a list of things of the kinds of a registry.
      EXTRAS = {"alterations" => R::Alterations, "small_parts" => R::SmallParts}.freeze

      # @param raw [Hash] a whole document
      # @return [Hash{String => Array<Hash>}] its alterations and small parts, to keep
      def extras_to_keep(raw) = extras(raw) { |item, fields| to_spec(item, fields, raw["unit"]) }

      # @param kept [Hash{String => Array<Hash>}]
      # @return [Hash{String => Array<Hash>}] as a document has them
      def extras_to_document(kept) = extras(kept) { |item, fields| to_document(item, fields) }

      def extras(lists)
        EXTRAS
          .slice(*lists.keys)
          .to_h { |key, kinds| [key, lists[key].map { |item| yield(item, all_fields(kinds.fetch(item["kind"]))) }] }
      end

      # An alteration says of the curtain itself too.
      def all_fields(kind) = kind.respond_to?(:all_fields) ? kind.all_fields : kind.fields

      # Fields that nobody declares are let through: a later version may know them.
      def walk(raw, fields, &leaf)
        raw.to_h do |key, value|
          [key, fields.names.include?(key.to_sym) ? inner(fields.fetch(key.to_sym).kind, value, &leaf) : value]
        end
      end

      def inner(kind, value, &leaf)
        return if value.nil?

        case kind
        when K::RecordKind then walk(value, kind.fields, &leaf)
        when K::ListKind then value.map { |item| inner(kind.kind, item, &leaf) }
        when R::HeadingField then walk(value, R::Headings.fetch(value["kind"]).fields, &leaf)
        else leaf.call(kind, value)
        end
      end

      def kept(kind, value, unit)
        case kind
        when K::LengthKind
          (value.is_a?(String) && R::LengthReader.unit_named?(value)) ? value : "#{plain(value)} #{unit}"
        when K::NumberKind, K::WidthsKind
          plain(value)
        when K::FullnessKind
          value.is_a?(Hash) ? value.transform_values { |number| plain(number) } : plain(value)
        when K::CountKind
          value.to_i
        else
          value
        end
      end

      def written(kind, value)
        case kind
        when K::NumberKind, K::WidthsKind then number(value)
        when K::FullnessKind then value.is_a?(Hash) ? value.transform_values { |text| number(text) } : number(value)
        else value
        end
      end

      # @return [String] the decimal as written, without an exponent
      def plain(value) = value.is_a?(BigDecimal) ? value.to_s("F").delete_suffix(".0") : value.to_s

      def number(text) = text.is_a?(String) ? Plain.decimal(R::Exact.read(text), 12) : text
    end
  end
end
