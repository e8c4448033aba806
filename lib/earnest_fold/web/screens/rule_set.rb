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

        # @return [Array<Array(String, String)>] each tape with the curtain that the set makes by it, cut through
        def sections =
          Forms::RuleSetForm::UNITS.map do |tape, unit|
            [Words.say("house.#{tape}"), Drawings::AllowanceSection.new(set, unit).to_s]
          end

        # @return [Field]
        def name
          Field.of_form(form, "name", label: Words.say("house_fields.set_name"), unit: Reckoning::Units::CM)
        end

        # @return [Array<Array(String, Array<Row>)>] making, lining, then each heading
        def parts
          [
            [Words.say("house.making"), lines(Forms::RuleSetForm::HABITS + Forms::RuleSetForm::MAKING)],
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

        def label(path) = Words.field_label(Forms::RuleSetForm.of_treatment(path))

        def field(tape, path) =
          Field.of_form(
            form,
            "#{tape}.#{path}",
            label: "#{label(path)}, #{Words.say("house.#{tape}")}",
            options: options(tape, path),
            unit: Forms::RuleSetForm::UNITS.fetch(tape)
          )

        # A set may leave a choice open, the inch column to the metric one.
        def options(tape, path)
          words = Field.options(Forms::RuleSetForm.field(path)) or return

          {"" => Words.say((tape == "inches") ? "house.as_metric" : "house.not_ruled")}.merge(words.except(""))
        end
      end
    end
  end
end
