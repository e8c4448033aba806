# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One field as a view shows it: what stands in it, what it is called, and what is wrong with it.
      Field = Reckoning::Value.define(:path, :label, :text, :problem, :hint, :options) do
        def id = path.tr(".", "-")

        def problem_id = "#{id}-problem"
      end
    end
  end
end
