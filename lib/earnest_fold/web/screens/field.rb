# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One field as a view shows it: what stands in it, what it is called, and what is wrong with it.
      Field = Reckoning::Value.define(:path, :label, :text, :problem, :hint, :options, :rule) do
        # Several lines where the kind takes as many.
        def long? = path == "notes"

        def id = path.tr(".", "-")

        def problem_id = "#{id}-problem"
      end
    end
  end
end
