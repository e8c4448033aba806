# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The list of jobs, and the form for a new one.
      class Jobs
        attr_reader :lines, :typed, :problem

        # @param lines [Array<Store::Records::JobLine>]
        def initialize(lines, unit:, typed: {}, problem: nil)
          @lines, @typed, @problem = lines, {"unit" => unit}.merge(typed), problem
        end

        def page_title = Words.say("jobs.title")
      end
    end
  end
end
