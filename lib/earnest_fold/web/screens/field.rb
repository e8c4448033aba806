# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One field as a view shows it: what stands in it, what it is called, and what is wrong with it.
      Field = Reckoning::Value.define(:path, :label, :text, :problem, :hint, :options, :rule, :now, :offer) do
        # `now` is what stands in the store, where that may be something else than what is shown; `offer` what was
        # perhaps meant.
        def self.of(path:, label:, text:, problem: nil, hint: nil, options: nil, rule: nil, now: text, offer: nil)
          new(
            path: path,
            label: label,
            text: text,
            problem: problem,
            hint: hint,
            options: options,
            rule: rule,
            now: now,
            offer: offer
          )
        end

        # One that stands on the page already just as it is.
        # @return [Field]
        def self.same(path) =
          new(path: path, label: nil, text: nil, problem: nil, hint: nil, options: nil, rule: nil, now: nil, offer: nil)

        def same? = text.nil?

        # Several lines where the kind takes as many.
        def long? = path == "notes"

        def id = path.tr(".", "-")

        def problem_id = "#{id}-problem"
      end
    end
  end
end
