# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # One field that a record declares: its name, its kind (see {FieldKinds}), its default, or REQUIRED; the name of
    # the station at which it is filled in, nil where it stands inside another field or is never asked for; and what a
    # new record has in it (as it would be kept), nil for nothing.
    class Field < Value.define(:name, :kind, :default, :station, :start)
      def initialize(name:, kind:, default:, station: nil, start: nil) = super

      # @return [Boolean] whether it has to be said
      #
      #   Cloth::FIELDS.fetch(:width).required? # => true
      def required? = default.equal?(Fields::REQUIRED)

      # @return [Boolean] whether a choice may be left open
      #
      #   Cloth::FIELDS.count(&:may_be_open?) # => 2
      def may_be_open? = default.nil? && !required?

      # @return [String] its name in documents
      #
      #   Cloth::FIELDS.fetch(:price).key # => "price"
      def key = name.name
    end

    # What the same fields read before, in the same unit and without a problem: what is said the same is the same.
    KnownFields = Value.define(:raw, :values) do
      # @param field [Field]
      # @param raw [Hash]
      # @return [Boolean] whether the field says what it said before
      #
      #   known = KnownFields.new(raw: {"name" => "Reed"}, values: {})
      #   known.same?(Cloth::FIELDS.find { |field| field.key == "name" }, {"name" => "Reed"}) # => true
      def same?(field, raw) = raw.key?(field.key) && raw[field.key] == self.raw.fetch(field.key, self)
    end

    # The fields of a record, and how a plain hash is read by them: exactly, with every problem named by its place. Job
    # documents, forms and the schema are all made from the same declarations.
    class Fields
      include Enumerable

      # Stands for "has no default".
      REQUIRED = Object.new.freeze
      # The first step of a path and the rest of it, of those that led to a field: there are so many and no more.
      PARTED = {}
      private_constant :PARTED

      # @param declared [Hash{Symbol => Array(kind, default, station, start)}]
      def initialize(declared)
        @fields =
          declared
            .map { |name, (kind, default, station, start)|
              Field.new(name: name, kind: kind, default: default, station: station, start: start)
            }
            .freeze
        @by_name = @fields.to_h { |field| [field.name, field] }.freeze
        @stations = @fields.filter_map(&:station).uniq.freeze
        freeze
      end

      # @yieldparam field [Field] in their order
      #
      #   Opening::FIELDS.map(&:name) # => [:kind, :split, :cover, :panels]
      def each(&block) = @fields.each(&block)

      # @param other [Fields]
      # @return [Fields] the other's, then this one's; a name that both have is this one's
      #
      #   (Opening::FIELDS + Wall::FIELDS).names.size # => 11
      def +(other) = Fields.new(**other.declared, **declared)

      # @return [Hash{Symbol => Array(kind, default, station, start)}]
      #
      #   Cloth::FIELDS.declared.keys.first # => :id
      def declared =
        @fields.to_h { |field| [field.name, [field.kind, field.default, field.station, field.start]] }

      # @return [Field]
      # @raise [KeyError]
      #
      #   Cloth::FIELDS.fetch(:price).name # => :price
      def fetch(name) = @by_name.fetch(name)

      # @return [Array<Symbol>]
      #
      #   Opening::FIELDS.names # => [:kind, :split, :cover, :panels]
      def names = @by_name.keys

      # @param path [String] of a field, also of one inside another: "support.length"
      # @param kept [Hash] as it is kept: what kind of heading there is decides what lies below it
      # @return [Field]
      # @raise [KeyError] for one that nobody declares
      #
      #   Treatment::FIELDS.at("making.hem.depth", {}).kind.least # => :zero
      def at(path, kept)
        return fetch(path.to_sym) unless path.include?(".")

        step, rest = PARTED.fetch(path) { path.split(".", 2) }
        field, inside = fetch(step.to_sym), kept[step]
        inner = field.kind.inner(inside) || raise(KeyError, "no fields in #{step}")
        found = inner.at(rest, inside.is_a?(Hash) ? inside : {})
        PARTED[path] ||= [step, rest].freeze
        found
      end

      # @param kept [Hash, nil] as it is kept
      # @return [Array<String>] the paths of all fields, in their order, those inside others instead of them
      #
      #   Declare::ALLOWANCE.paths # => ["kind", "depth", "turn_under"]
      def paths(kept = {})
        @fields.flat_map do |field|
          inside = kept.is_a?(Hash) ? kept[field.key] : nil
          inner = field.kind.inner(inside)
          inner ? inner.paths(inside).map { |path| "#{field.key}.#{path}" } : [field.key]
        end
      end

      # @return [Array<String>] those at which any is filled in
      attr_reader :stations

      # @param station [String]
      # @return [Array<Field>] those filled in there, in their order
      #
      #   Treatment::FIELDS.of_station("measure").map(&:name).first # => :name
      def of_station(station) = @fields.select { |field| field.station == station }

      # @param at [String] the JSON Pointer of a problem
      # @return [String, nil] the station at which it can be mended; nil for a place that nobody declares
      #
      #   Treatment::FIELDS.station_of("/drop/readings/0") # => "measure"
      def station_of(at) = @by_name[at.delete_prefix("/")[/\A\w+/]&.to_sym]&.station

      # @param raw [Hash] as a document has it
      # @param unit [String] the document's
      # @return [Hash] to be kept; fields that nobody declares are let through: a later version may know them
      #
      #   Treatment::FIELDS.keep({"overlap" => 8}, "cm") # => {"overlap"=>"8 cm"}
      def keep(raw, unit) = each_kind(raw) { |kind, value| kind.keep(value, unit) }

      # @param kept [Hash]
      # @return [Hash] as a document has it
      #
      #   Cloth::FIELDS.write({"mass" => "250"}) # => {"mass"=>(250/1)}
      def write(kept) = each_kind(kept) { |kind, value| kind.write(value) }

      # @param raw [Object] a Hash with String keys, if the document is well made
      # @param unit [Unit] of lengths that name none
      # @param problems [Problems]
      # @param known [KnownFields, nil] what was read before: of that only what changed is read again
      # @return [Hash{Symbol => Object}, nil] nil where anything was wrong
      #
      #   Opening::FIELDS.read({"kind" => "pair"}, Units::CM, Problems.new)[:split] # => (1/2)
      def read(raw, unit, problems, known: nil)
        return problems.add(:not_an_object) unless raw.is_a?(Hash)

        values = @fields.to_h do |field|
          same = known&.same?(field, raw)
          [field.name, same ? known.values.fetch(field.name) : read_field(field, raw, unit, problems.within(field.key))]
        end
        values unless problems.any?
      end

      private

      def each_kind(record)
        record.to_h do |key, value|
          field = value.nil? ? nil : @by_name[key.to_sym]
          [key, field ? yield(field.kind, value) : value]
        end
      end

      def read_field(field, raw, unit, problems)
        given = raw.fetch(field.key) { return field.required? ? problems.add(:missing) : field.default }
        return field.default if given.nil? && field.default.nil?

        field.kind.read(given, unit, problems)
      end
    end
  end
end
