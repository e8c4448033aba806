# frozen_string_literal: true

module EarnestFold
  module Documents
    # Between a job document, where a plain number is in the document's unit, and what is kept of it, where each
    # length carries its unit and each number is the text that was written. Both ways by the fields that the records
    # declare, so that nothing is read twice or lost.
    module SpecFormat
      R = Reckoning
      # What a document has beside cloths and windows: each a list of things of the kinds of a registry.
      EXTRAS = {"alterations" => R::Alterations, "small_parts" => R::SmallParts}.freeze

      module_function

      # @param raw [Hash] as a document has it
      # @param fields [Reckoning::Fields]
      # @param unit [String] the document's
      # @return [Hash] to keep
      #
      #   Documents::SpecFormat.to_spec({"overlap" => 8}, Treatment::FIELDS, "cm") # => {"overlap"=>"8 cm"}
      def to_spec(raw, fields, unit) = fields.keep(raw, unit)

      # @param spec [Hash] as kept
      # @return [Hash] as a document has it
      #
      #   Documents::SpecFormat.to_document({"overlap" => "8 cm"}, Treatment::FIELDS) # => {"overlap"=>"8 cm"}
      def to_document(spec, fields) = plain(fields.write(spec))

      # @param raw [Hash] a whole document
      # @return [Hash{String => Array<Hash>}] its alterations and small parts, to keep
      #
      #   Documents::SpecFormat.extras_to_keep({"unit" => "cm"}) # => {}
      def extras_to_keep(raw) = extras(raw) { |item, fields| to_spec(item, fields, raw["unit"]) }

      # @param kept [Hash{String => Array<Hash>}]
      # @return [Hash{String => Array<Hash>}] as a document has them
      #
      #   Documents::SpecFormat.extras_to_document({}) # => {}
      def extras_to_document(kept) = extras(kept) { |item, fields| to_document(item, fields) }

      # @param lists [Hash] by name
      # @return [Hash] as a document has them
      def extras(lists)
        EXTRAS
          .slice(*lists.keys)
          .to_h { |key, kinds| [key, lists[key].map { |item| yield(item, kinds.fetch(item["kind"]).all_fields) }] }
      end

      # Numbers as the decimals that were written.
      #
      #   Documents::SpecFormat.plain(length: Length.cm(8)) # => {:length=>80 mm}
      def plain(value)
        case value
        when Hash then value.transform_values { |inner| plain(inner) }
        when Array then value.map { |inner| plain(inner) }
        when Rational then Plain.decimal(value, 12)
        else value
        end
      end
    end
  end
end
