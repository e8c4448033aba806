# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # The fields of a treatment's spec by path ("support.length", "drop.readings.0"): which kind each is, and what a
      # stored value looks like to a person.
      module SpecFields
        R = Reckoning
        K = R::FieldKinds

        module_function

        HEADING_KIND = R::Field.new(
          name: :kind,
          kind: K::ChoiceKind.new(words: R::Headings.names),
          default: R::Fields::REQUIRED
        )
        # Which of the house's sets a treatment takes: the application's own, beside the job format.
        RULES = R::Field.new(name: :rules, kind: K::TextKind.new(least: 0, most: 20), default: "")
        ALTERATION_KIND = R::Field.new(
          name: :kind,
          kind: K::ChoiceKind.new(words: R::Alterations.names),
          default: R::Fields::REQUIRED
        )
        private_constant :HEADING_KIND, :RULES, :ALTERATION_KIND

        # @param path [String]
        # @param spec [Hash]
        # @return [Reckoning::Field] from the record that declares it
        # @raise [KeyError] for one that nobody declares
        def field(path, spec)
          return HEADING_KIND if path == "heading.kind"
          return RULES if path == "rules"

          return ALTERATION_KIND if path == "kind"

          *parents, last = path.split(".")
          fields = parents.reduce(declared(spec)) { |inside, step| below(inside.fetch(step.to_sym).kind, spec) }
          fields.fetch(last.to_sym)
        end

        # @return [Reckoning::Fields] what a treatment declares, or somebody's own curtain by what is done with it
        def declared(spec) = spec["kind"] ? R::Alterations.fetch(spec["kind"]).all_fields : R::Treatment::FIELDS

        # @return [#read] the field's kind
        def kind(path, spec) = field(path, spec).kind

        # The fields of a record, or of the heading's kind.
        # @raise [KeyError] for what has none
        def below(kind, spec)
          return R::Headings.fetch(spec.dig("heading", "kind")).fields if kind.is_a?(R::HeadingField)

          kind.respond_to?(:fields) ? kind.fields : raise(KeyError, "no fields in it")
        end

        # @param spec [Hash]
        # @return [Array<String>] the paths of all fields that the heading's kind declares, in its order
        def heading_paths(spec)
          R::Headings.fetch(spec.dig("heading", "kind")).fields.flat_map do |field|
            inner = field.kind.is_a?(K::RecordKind) ? field.kind.fields.names.map { |name| ".#{name}" } : [""]
            inner.map { |end_of_path| "heading.#{field.key}#{end_of_path}" }
          end
        end

        # @return [Object, nil] the stored value
        def stored(path, spec)
          path.split(".").reduce(spec) do |inside, step|
            case inside
            when Hash then inside[step]
            when Array then step.match?(/\A\d+\z/) ? inside[step.to_i] : nil
            end
          end
        end

        # @return [Hash] a copy with the value set, or taken away for nil
        def set(spec, path, value)
          step, rest = path.split(".", 2)
          inner = rest ? set(spec[step] || {}, rest, value) : value
          (inner.nil? || inner == {}) ? spec.except(step) : spec.merge(step => inner)
        end

        # @param path [String]
        # @param spec [Hash]
        # @return [String] what the field shows: what is stored, else what a choice left alone comes to
        def shown(path, spec, unit)
          field = field(path, spec)
          value = stored(path, spec)
          value = field.default if value.nil? && field.kind.is_a?(K::ChoiceKind)
          text(value, field.kind, unit)
        end

        # @param value [Object, nil] as stored
        # @return [String] as a person reads and types it, in the unit shown
        def text(value, kind, unit)
          case kind
          when K::LengthKind then value ? length_text(value, unit) : ""
          when K::FullnessKind then fullness_text(value)
          when K::FlagKind then value ? "yes" : "no"
          when K::CountListKind then Array(value).join(", ")
          else value.to_s
          end
        end

        # A length stays as it was typed while it is shown in the unit it was typed in.
        def length_text(value, unit)
          typed, named = value.match(/\A(.+?) (mm|cm|in)\z/)&.captures
          return typed if named == unit.name && !R::LengthReader.unit_named?(typed)

          Words.length(R::LengthReader.read(value, unit), unit).tr("−", "-")
        end

        def fullness_text(value)
          return value.to_s unless value.is_a?(Hash)

          if value.key?("percent_added")
            "+#{value["percent_added"]} %"
          else
            "#{value["percent_total"] || value["ratio"]}#{" %" if value.key?("percent_total")}"
          end
        end

        # @param text [String] what a person typed
        # @return [Object] what is stored: exactly what was typed, with the unit it was typed in
        def to_store(text, kind, unit)
          case kind
          when K::LengthKind then R::LengthReader.unit_named?(text) ? text : "#{text} #{unit.name}"
          when K::FullnessKind then fullness_to_store(text)
          when K::CountKind then text.match?(/\A\d{1,9}\z/) ? Integer(text, 10) : text
          when K::FlagKind then text == "yes"
          when K::CountListKind then text.split(/[\s,;]+/).map { |part| to_store(part, K::CountListKind::ONE, unit) }
          else text
          end
        end

        # "2.2" is a ratio, "220 %" in all, "+75 %" added.
        def fullness_to_store(text)
          match = /\A(\+)?\s*([\d.,]+)\s*%\z/.match(text) or return text

          {match[1] ? "percent_added" : "percent_total" => match[2]}
        end
      end
    end
  end
end
