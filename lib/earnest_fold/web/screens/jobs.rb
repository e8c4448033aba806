# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The list of jobs, and the form for a new one.
      class Jobs
        include ListedJobs

        attr_reader :lines, :typed, :problem

        # @param lines [Array<Store::Records::JobLine>]
        def initialize(lines, unit:, typed: {}, problem: nil, page: 1)
          @lines, @typed, @problem, @page = lines, {"unit" => unit}.merge(typed), problem, page
        end

        # @return [Pager]
        def pages = Pager.new(Paths.jobs, @page, lines.size == Store::Jobs::MOST_LISTED)

        def page_title = Words.say("jobs.title")
      end
    end
  end
end
