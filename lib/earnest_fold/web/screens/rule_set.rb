# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One set of rules, each figure for both tapes.
      class RuleSet
        # A line of the form: what it is called, and its field for each tape.
        Row = Reckoning::Value.define(:label, :fields)
        SCHOOLS = {
          "making.hem.depth" => "hems",
          "making.squaring" => "spare",
          "making.side.depth" => "sides",
          "lining.lift" => "lift",
          "lining.inset" => "inset"
        }.freeze

        attr_reader :set, :form, :notice

        # @param set [Store::RuleSet]
        # @param form [Forms::RuleSetForm]
        def initialize(set, form, notice: nil)
          @set, @form, @notice = set, form, notice && Words.say("notices.#{notice}")
        end

        def page_title = Words.say("house.set_title", name: set.name)

        # @return [Field]
        def name
          problem = form.problems["name"]
          Field.of(
            path: "name",
            label: Words.say("house_fields.set_name"),
            text: form.name,
            now: form.shown("name"),
            problem: problem && Words.field_problem(problem, Reckoning::Units::CM)
          )
        end

        # @return [Array<Array(String, Array<Row>)>] making, lining, then each heading
        def parts
          [
            [Words.say("house.making"), lines(Forms::RuleSetForm::MAKING)],
            [Words.say("house.lining"), lines(Forms::RuleSetForm::LINING)],
            *Reckoning::Headings.names.map do |kind|
              [
                Words.say("headings.#{kind}"),
                lines(Forms::RuleSetForm::HEADINGS.select { |path| path.start_with?("headings.#{kind}.") })
              ]
            end
          ]
        end

        # @return [Boolean] whether anything in a part could not be taken: then it stands open
        def troubled?(lines) = lines.any? { |line| line.fields.any?(&:problem) }

        private

        def lines(paths) =
          paths.map do |path|
            Row.new(label: label(path), fields: Forms::RuleSetForm::UNITS.keys.map { |tape| field(tape, path) })
          end

        def label(path) = Words.field_label(path.sub(/\Aheadings\.\w+\./, "heading."))

        def field(tape, path)
          problem = form.problems["#{tape}.#{path}"]
          Field.of(
            path: "#{tape}.#{path}",
            label: "#{label(path)}, #{Words.say("house.#{tape}")}",
            text: form.text(tape, path),
            now: form.shown("#{tape}.#{path}"),
            options: options(tape, path),
            problem: problem && Words.field_problem(problem, Forms::RuleSetForm::UNITS.fetch(tape))
          )
        end

        # The inch column may leave a choice to the metric one.
        def options(tape, path)
          words, key = Cloth::CHOICES[path.sub("lining.hem", "making.hem")]
          words, key = Forms::RuleSetForm.choice_of_heading(path) unless words
          words &&
            {"" => Words.say((tape == "inches") ? "house.as_metric" : "house.not_ruled")}.merge(
              words.to_h { |word| [word, Words.say("#{key}.#{word}")] }
            )
        end
      end
    end
  end
end
