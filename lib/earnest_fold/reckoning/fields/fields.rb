# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # One field that a record declares: its name, its kind (see {FieldKinds}), and its default, or REQUIRED.
    Field = Value.define(:name, :kind, :default) do
      def required? = default.equal?(Fields::REQUIRED)

      def key = name.to_s
    end

    # What the same fields read before, in the same unit and without a problem: what is said the same is the same.
    KnownFields = Value.define(:raw, :values) do
      # @param field [Field]
      # @param raw [Hash]
      # @return [Boolean] whether the field says what it said before
      def same?(field, raw) = raw.key?(field.key) && raw[field.key] == self.raw.fetch(field.key, self)
    end

    # The fields of a record, and how a plain hash is read by them: exactly, with every problem named by its place. Job
    # documents, forms and the schema are all made from the same declarations.
    class Fields
      include Enumerable

      # Stands for "has no default".
      REQUIRED = Object.new.freeze

      # @param declared [Hash{Symbol => Array(kind, default)}]
      def initialize(declared)
        @fields = declared.map { |name, (kind, default)| Field.new(name: name, kind: kind, default: default) }.freeze
        @by_name = @fields.to_h { |field| [field.name, field] }.freeze
        freeze
      end

      def each(&block) = @fields.each(&block)

      # @param other [Fields]
      # @return [Fields] both, each name once: this one's own first
      def +(other) = Fields.new(**other.declared, **declared)

      # @return [Hash{Symbol => Array(kind, default)}]
      def declared = @fields.to_h { |field| [field.name, [field.kind, field.default]] }

      # @return [Field]
      # @raise [KeyError]
      def fetch(name) = @by_name.fetch(name)

      # @return [Array<Symbol>]
      def names = @by_name.keys

      # @param raw [Object] a Hash with String keys, if the document is well made
      # @param unit [Unit] of lengths that name none
      # @param problems [Problems]
      # @param known [KnownFields, nil] what was read before: of that only what changed is read again
      # @return [Hash{Symbol => Object}, nil] nil where anything was wrong
      def read(raw, unit, problems, known: nil)
        return problems.add(:not_an_object) unless raw.is_a?(Hash)

        values = @fields.to_h do |field|
          same = known&.same?(field, raw)
          [field.name, same ? known.values.fetch(field.name) : read_field(field, raw, unit, problems.within(field.key))]
        end
        values unless problems.any?
      end

      private

      def read_field(field, raw, unit, problems)
        given = raw.fetch(field.key) { return field.required? ? problems.add(:missing) : field.default }
        return field.default if given.nil? && field.default.nil?

        field.kind.read(given, unit, problems)
      end
    end
  end
end
