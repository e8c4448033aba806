# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # The fields of a treatment's spec by path ("support.length", "drop.readings.0"): which kind each is, and what a stored
      # value looks like to a person.
      module SpecFields
        R = Reckoning
        K = R::FieldKinds

        module_function

        # @param path [String]
        # @param spec [Hash]
        # @return [#read] the field's kind, from the record that declares it
        def kind(path, spec)
          *parents, last = path.split(".")
          fields = parents.reduce(R::Treatment::FIELDS) { |inside, step| inside.is_a?(R::Fields) ? below(inside.fetch(step.to_sym).kind, spec) : inside }
          fields.is_a?(R::Fields) ? fields.fetch(last.to_sym).kind : fields.kind
        end

        # What lies below a field: a record's fields, a list itself, or the fields of the heading's kind.
        def below(kind, spec)
          case kind
          when R::HeadingField then R::Headings.fetch(spec.dig("heading", "kind")).fields
          when K::ListKind then kind
          else kind.fields
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
          inner.nil? ? spec.except(step) : spec.merge(step => inner)
        end

        # @param value [Object, nil] as stored
        # @return [String] as a person reads and types it, in the unit shown
        def text(value, kind, unit)
          case kind
          when K::LengthKind then value ? length_text(value, unit) : ""
          when K::FullnessKind then fullness_text(value)
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

          value.key?("percent_added") ? "+#{value["percent_added"]} %" : "#{value["percent_total"] || value["ratio"]}#{" %" if value.key?("percent_total")}"
        end

        # @param text [String] what a person typed
        # @return [Object] what is stored: exactly what was typed, with the unit it was typed in
        def to_store(text, kind, unit)
          case kind
          when K::LengthKind then R::LengthReader.unit_named?(text) ? text : "#{text} #{unit.name}"
          when K::FullnessKind then fullness_to_store(text)
          when K::CountKind then text.match?(/\A\d{1,9}\z/) ? Integer(text, 10) : text
          when K::FlagKind then text == "yes"
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
