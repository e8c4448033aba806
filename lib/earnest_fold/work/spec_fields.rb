# frozen_string_literal: true

module EarnestFold
  module Work
    # The fields of what is kept of a work (its spec) by path ("support.length", "drop.readings.left").
    module SpecFields
      R = Reckoning
      # Which of the house's sets a treatment takes: the application's own, beside the job format.
      RULES = R::Field.new(name: :rules, kind: R::FieldKinds::TextKind.new(least: 0, most: 20), default: "")
      private_constant :RULES

      module_function

      # @param path [String]
      # @param spec [Hash]
      # @return [Reckoning::Field] from the record that declares it
      # @raise [KeyError] for one that nobody declares
      #
      #   Work::SpecFields.field("support.length", work.record.spec).name # => :length
      def field(path, spec)
        return RULES if path == "rules"

        Readings.path?(path) ? reading(path, spec) : declared(spec).at(path, spec)
      end

      # @return [Boolean]
      #
      #   Work::SpecFields.field?("support.weather", {}) # => false
      def field?(path, spec)
        !field(path, spec).nil?
      rescue KeyError
        false
      end

      # @return [Boolean] whether a person is asked for it at any station
      #
      #   Work::SpecFields.asked?("support.length", work.record.spec) # => true
      def asked?(path, spec)
        return true if path == "rules"

        field?(path, spec) &&
          (field(path, spec).kind.decides? || !declared(spec).fetch(path[/\A\w+/].to_sym).station.nil?)
      end

      # @param paths [Array<String>]
      # @param spec [Hash]
      # @return [Array<String>] the first of them at each station, of those that there are
      #
      #   Work::SpecFields.one_a_station(%w[run face support.rating], {}) # => ["run", "support.rating"]
      def one_a_station(paths, spec) =
        paths.select { |path| asked?(path, spec) }.uniq { |path| declared(spec).fetch(path[/\A\w+/].to_sym).station }

      # @return [Reckoning::Fields] what a treatment declares, or somebody's own curtain by what is done with it
      #
      #   Work::SpecFields.declared(work.record.spec).stations # => ["measure", "heading", "cloth"]
      def declared(spec) = spec["kind"] ? R::Alterations.fetch(spec["kind"]).all_fields : R::Treatment::FIELDS

      # @return [Reckoning::FieldKinds::Kind] the field's kind
      #
      #   Work::SpecFields.kind("overlap", {}).decides? # => false
      def kind(path, spec) = field(path, spec).kind

      # @param spec [Hash]
      # @return [Array<String>] the paths of all fields that the heading's kind declares, in its order
      #
      #   Work::SpecFields.heading_paths({"heading" => {"kind" => "wave"}}).first # => "heading.glider_spacing"
      def heading_paths(spec)
        R::Headings.fetch(spec.dig("heading", "kind")).fields.paths.map { |path| "heading.#{path}" }
      end

      # @return [Object, nil] as it is kept
      #
      #   Work::SpecFields.stored("making.seam", {"making" => {"seam" => "1 cm"}}) # => "1 cm"
      def stored(path, spec)
        return Readings.at(spec, path) if Readings.path?(path)

        return spec[path] unless path.include?(".")

        path.split(".").reduce(spec) { |inside, step| inside.is_a?(Hash) ? inside[step] : nil }
      end

      # @return [Hash] a copy with the value set, or taken away for nil
      #
      #   Work::SpecFields.set({}, "making.seam", "1 cm") # => {"making"=>{"seam"=>"1 cm"}}
      def set(spec, path, value)
        return Readings.set(spec, path, value) if Readings.path?(path)

        step, rest = path.split(".", 2)
        inner = rest ? set(spec[step] || {}, rest, value) : value
        (inner.nil? || inner == {}) ? spec.except(step) : spec.merge(step => inner)
      end

      # @param values [Hash{String => Object}] by path, as {set} takes them
      # @return [Hash] a copy with all of them
      #
      #   Work::SpecFields.over({}, "drop.offset" => "-1 cm") # => {"drop"=>{"offset"=>"-1 cm"}}
      def over(spec, values) = values.reduce(spec) { |made, (path, value)| set(made, path, value) }

      # @return [String] what the field shows: what is kept, else what a choice left alone comes to
      #
      #   Work::SpecFields.shown("overlap", {"overlap" => "4 in"}, Units::CM) # => "10.2"
      def shown(path, spec, unit) = worded(field(path, spec), stored(path, spec), unit)

      # @param field [Reckoning::Field]
      # @param stored [Object] as {stored} gives it
      # @return [String] the same, where both are known
      #
      #   Work::SpecFields.worded(Work::SpecFields.field("overlap", {}), "8 cm", Units::CM) # => "8"
      def worded(field, stored, unit)
        value = (stored.nil? && field.kind.words && !field.required?) ? field.default : stored
        field.kind.show(value, unit)
      end

      # @api private
      #
      #   Work::SpecFields.reading("drop.readings.left", {}).name # => :reading
      def reading(path, spec) =
        Readings.there?(path, spec) ? Readings::FIELD : raise(KeyError, "no such reading")
    end
  end
end
