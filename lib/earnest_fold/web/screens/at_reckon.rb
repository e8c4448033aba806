# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What Reckon shows of whatever is reckoned: its fields as they were typed, what is wrong with them, what is still
      # wanted, and the address that holds it all.
      module AtReckon
        # Where what is wanted is typed.
        WANTED_AT = {"face" => "cloth.width", "drop.readings" => "drop.readings.left"}.freeze

        # @param asked [Forms::ReckonForm]
        def initialize(asked)
          @asked = asked
          super(asked.job, asked.work, form: asked.fields)
        end

        # @return [Hash{String => String}] hidden in the form
        def was = @asked.was

        # @return [Hash{String => String}] everything that stands in the form, so that the address alone gives the same
        #   under other house rules too; what is empty and begins empty is left out
        def asked_for =
          @asked_for ||= @asked.said.merge(shown_fields.to_h { |one| [one.path, one.text.to_s] })
            .reject { |path, text| text.empty? && @asked.begins_empty?(path) }

        # @return [String]
        def address = Paths.reckon(query)

        # @return [String] every figure, as a form carries them that keeps them
        def query = @query ||= in_unit(unit)

        # @return [String]
        def beside = Paths.reckon_beside(query)

        # @return [String] the same figures in the other unit
        def other_unit_address = Paths.reckon(in_unit(sheet.other_unit, "was_unit" => unit.name))

        # @return [Array<Array(String, String, Boolean)>] what can be reckoned: its value, words, whether it is chosen
        def sorts =
          ["", *Reckoning::Alterations.sort_by(&:place).map(&:kind)].map do |kind|
            [kind, Words.say(kind.empty? ? "reckon.new" : "alterations.#{kind}"), kind == @asked.kind.to_s]
          end

        # As it was typed, for as long as it is being typed; of the typed cloth, as its form says.
        def field(path, options: nil)
          return super unless path.start_with?("cloth.")

          @of_cloth ||= {}
          @of_cloth[path] ||= of_cloth_typed(path)
        end

        # @return [Array<String>] what is still to be given before there is an answer
        def missing
          wanting = entry.problems.map { |problem| wanted(problem) }
          (@asked.cloth.problems.empty? || wanting.empty?) ? wanting.uniq : (wanting + cloth_troubles).uniq
        end

        # @return [Array<String>] the fields that are still to be filled in
        def wanting
          @wanting ||= entry.problems.map do |one|
            place = one.at.delete_prefix("/").tr("/", ".")
            WANTED_AT.fetch(place, place)
          end
        end

        def page_title = Words.say("reckon.title")

        private

        def in_unit(unit, more = {})
          @beside_the_unit ||= Paths.query(asked_for.except("unit"))
          [Paths.query({"unit" => unit.name, **more}), @beside_the_unit].reject(&:empty?).join("&")
        end

        # Nothing departs from a rule here, and what a field is taken as stands beside it in the sentence.
        def mark_at(_path) = nil

        def hint(_kind, _stored, _now) = nil

        def taken_beside(_declared) = nil

        def typed_at(path) = @asked.typed(path) || super

        # What an empty field is taken as; a dash where nothing is reckoned from it.
        def taken_at(path)
          declared = path.start_with?("cloth.") ? @asked.cloth.field(path.delete_prefix("cloth.")) : nil
          taken_as(declared || Work::SpecFields.field(path, spec)) || "–"
        end

        def wanted(problem)
          return Words.say("reckon.missing_cloth") if problem.at == "/face"

          Words.missing(problem, unit)
        end

        def cloth_troubles
          @asked.cloth.problems.except("width").map do |name, problem|
            "#{Words.say("cloth_fields.#{name}")}: #{Words.field_problem(problem, unit, of: @asked.cloth.of)}"
          end
        end

        # What the figures make together stands at one of them.
        def trouble_at(path)
          found = entry.problems.find { |one| one.code != :missing && one.at.delete_prefix("/").tr("/", ".") == path }
          found && Words.field_problem(found, unit)
        end

        def of_cloth_typed(path)
          name = path.delete_prefix("cloth.")
          declared = @asked.cloth.field(name)
          shown = Field.of_form(
            @asked.cloth,
            name,
            label: Words.say("cloth_fields.#{name}"),
            unit: unit,
            options: Field.options(declared)
          )
          problem = (name == "width" && @asked.typed(path).to_s.empty?) ? nil : shown.problem
          shown.with(path: path, problem: problem, text: @asked.typed(path) || @asked.cloth_shown.shown(name))
        end
      end
    end
  end
end
