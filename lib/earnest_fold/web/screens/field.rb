# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # So many letters the place of a figure shows of a choice.
      SHORT_CHOICE = 13

      # One field as a view shows it: what stands in it, what it is called, and what is wrong with it.
      Field = Reckoning::Value.define(
        :path, :label, :text, :problem, :hint, :options, :rule, :now, :offer, :stop, :taken, :most, :plain, :place
      ) do
        # `now` is what stands in the store, where that may be something else than what is shown; `offer` what was
        # perhaps meant; `stop` what can't be made for as long as it says what it says; `taken` what it is taken as
        # while nobody says anything; `most` how many letters it takes; `plain` whether that is a plain number; `place`
        # where on the page it stands, where there are several of its name.
        def self.of(
          path:, label:, text:, problem: nil, hint: nil, options: nil, rule: nil, now: text, offer: nil, stop: nil,
          taken: nil, most: Reckoning::FieldKinds::Kind::LONGEST_TYPED, plain: false
        )
          new(
            path: path,
            label: label,
            text: text,
            problem: problem,
            hint: hint,
            options: options,
            rule: rule,
            now: now,
            offer: offer,
            stop: stop,
            taken: taken,
            most: most,
            plain: plain,
            place: nil
          )
        end

        # @param form [Forms::FieldForm]
        # @param name [String] of one of its fields
        # @param unit [Reckoning::Unit]
        # @return [Field] with what was typed, what stands there and what is wrong with it
        def self.of_form(form, name, label:, unit:, options: nil)
          problem = form.problems[name]
          of(
            path: name,
            label: label,
            text: form.text(name),
            now: form.shown(name),
            options: options,
            plain: form.plain?(name),
            most: form.most(name),
            problem: problem && Words.field_problem(problem, unit, of: form.of)
          )
        end

        # @param field [Reckoning::Field]
        # @return [Hash{String => String}, nil] what there is to choose from, in words; nil where it is typed freely
        def self.options(field)
          kind = field.kind
          return unless kind.said

          open = field.may_be_open? ? {"" => Words.say("#{kind.said}.not_said")} : {}
          open.merge(kind.words.to_h { |word| [word, Words.say("#{kind.said}.#{word}")] })
        end

        # One that stands on the page already just as it is.
        # @return [Field]
        def self.same(path) = Field::SAME[path] ||= new(**Field::NOTHING, path: path)

        def same? = text.nil?

        # @return [Boolean] whether anything of it wants to be seen: it departs, stops the work, can't be taken, or
        #   says something of which the rules say nothing
        def matters?
          return true if problem || stop

          rule ? rule.departs : !(text.empty? || text == taken || usual?)
        end

        # @return [Boolean] whether a choice is left at what it begins with
        def usual? = !options.nil? && text == options.keys.first

        # @return [Boolean] whether what can be chosen is longer than a figure's place shows
        def roomy? = !options.nil? && options.each_value.any? { |words| words.size > SHORT_CHOICE }

        # @return [String, nil] what it is called and what holds of it: said, or taken unless that is nothing
        def in_short
          told = text.empty? ? taken : options&.fetch(text, nil) || text
          nothing = told.nil? || (text.empty? && told == "0")
          "#{label} #{told}" unless nothing
        end

        # Several lines where the kind takes as many.
        def long? = path == "notes"

        def id = place ? "#{place}-#{path}".tr(".", "-") : path.tr(".", "-")

        def problem_id = "#{id}-problem"

        def stop_id = "#{id}-stop"
      end
      # What stands in it where nothing is shown anew.
      Field::NOTHING = Field.members.to_h { |name| [name, nil] }.freeze
      # Each of the declared fields, once.
      Field::SAME = Store::Remembered.new(1000)
    end
  end
end
