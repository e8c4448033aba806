# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # The kinds of field that a record can declare, one file each beside this one. A field is translated nowhere else:
    # its kind reads what a document or the store says, and speaks for it to people and to both.
    module FieldKinds
      # The contract of a kind, with what most of them answer alike. Four forms of one field: as a document has it
      # (`raw`, where a plain number is in the document's unit), as it is kept (with its unit, as it was typed), as a
      # person types it, and its value.
      module Kind
        # Nobody types a longer figure.
        LONGEST_TYPED = 60

        # @!method read(raw, unit, problems)
        #   @param raw [Object] as a document has it, or as it is kept
        #   @param unit [Unit] of lengths that name none
        #   @param problems [Problems] at the field's place
        #   @return [Object, nil] its value, exact; nil and a problem where it is none

        # @!method schema
        #   @return [Hash] a JSON Schema object

        # @param kept [Object, nil]
        # @param unit [Unit] the one shown
        # @return [String] as a person reads and types it, without the unit's name
        #
        #   FieldKinds::LengthKind.new(least: :zero).show("93 1/2 in", Units::CM) # => "237.5"
        def show(kept, _unit) = kept.to_s

        # @param typed [String] by a person, not empty
        # @param unit [Unit] the one shown
        # @return [Object] to be kept: exactly what was typed, with its unit
        #
        #   FieldKinds::LengthKind.new(least: :zero).take("93 1/2", Units::IN) # => "93 1/2 in"
        def take(typed, _unit) = typed

        # @param raw [Object] as a document has it
        # @param unit [String] the document's
        # @return [Object] to be kept
        #
        #   FieldKinds::LengthKind.new(least: :zero).keep(236, "cm") # => "236 cm"
        def keep(raw, _unit) = raw

        # @param kept [Object]
        # @return [Object] as a document has it; numbers exact (Rational)
        #
        #   FieldKinds::FlagKind.new.write(true) # => true
        def write(kept) = kept

        # @param value [Object] as {#read} gave it
        # @return [Object] to be kept
        #
        #   FieldKinds::FlagKind.new.kept_of(true) # => true
        def kept_of(value) = value

        # What reads well and can hardly be meant: it is asked before anything is taken.
        # @param kept [Object]
        # @param unit [Unit]
        # @return [Array(Symbol, Hash), nil] the code of the doubt and its facts; `offer` is what may be meant, as it
        #   would be kept
        #
        #   FieldKinds::FullnessKind.new.doubt("50", Units::CM).first # => :so_many_times
        def doubt(_kept, _unit) = nil

        # @return [Integer] characters
        #
        #   FieldKinds::FlagKind.new.longest # => 60
        def longest = LONGEST_TYPED

        # @param unit [Unit] the one shown
        # @return [Boolean] whether what is typed is a plain number as a rule: without a sign, a stroke or a name
        #
        #   FieldKinds::FlagKind.new.plain_number?(Units::CM) # => false
        def plain_number?(_unit) = false

        # @return [Array<String>, nil] what there is to choose from, as it would be typed; nil where it is typed freely
        #
        #   FieldKinds::ChoiceKind.new(words: %w[left right], said: nil).words # => ["left", "right"]
        def words = nil

        # @return [String, nil] the place in the locale file where those are said
        #
        #   FieldKinds::ChoiceKind.new(words: %w[left right], said: "hand").said # => "hand"
        def said = nil

        # @return [Boolean] whether it decides which other fields there are
        #
        #   FieldKinds::ChoiceKind.new(words: %w[left right], said: nil).decides? # => false
        def decides? = false

        # @param kept [Object] of the record that it holds
        # @return [Fields, nil] of that record
        #
        #   Cloth::FIELDS.fetch(:price).kind.inner(nil) # => nil
        def inner(_kept) = nil
      end

      # @param fields [Fields]
      # @param elsewhere [Array<String>] those that something else may say instead
      # @return [Hash] a JSON Schema object; unknown fields are let be, for later versions
      #
      #   FieldKinds.record_schema(Cloth::FIELDS)["type"] # => "object"
      def self.record_schema(fields, elsewhere = [])
        properties = fields.to_h { |field| [field.key, field_schema(field)] }
        required = fields.select(&:required?).map(&:key) - elsewhere
        {"type" => "object", "properties" => properties, "required" => required}
      end

      # @param kinds [Enumerable] of headings, alterations or small parts
      # @yieldparam kind [Object]
      # @yieldreturn [Array<String>] the fields of that kind that something else may say instead
      # @return [Hash] a record of the kind it names: said with "if", so that what is wrong is said of that kind alone
      #
      #   FieldKinds.kinds_schema(SmallParts).fetch("required") # => ["kind"]
      def self.kinds_schema(kinds)
        {
          "type" => "object",
          "properties" => {"kind" => {"enum" => kinds.map(&:kind)}},
          "required" => ["kind"],
          "allOf" => kinds.map do |kind|
            elsewhere = block_given? ? yield(kind) : []
            {
              "if" => {"properties" => {"kind" => {"const" => kind.kind}}},
              "then" => record_schema(kind.fields, elsewhere)
            }
          end
        }
      end

      # @param field [Field]
      # @return [Hash] a JSON Schema object: null too, where nothing need be said
      #
      #   FieldKinds.field_schema(Cloth::FIELDS.fetch(:one_way)) # => {"type"=>"boolean"}
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
