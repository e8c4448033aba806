# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # A job document that could not be brought in: every problem, by its place in the document.
      class Import
        # @param problems [Array<Reckoning::Problem>]
        def initialize(problems)
          @problems = problems
        end

        def page_title = Words.say("import.refused")

        # @return [Array<Array(String, String)>] the place and what is wrong there
        def lines =
          @problems.map do |problem|
            [problem.at.empty? ? Words.say("import.whole") : problem.at, Words.problem(problem)]
          end
      end
    end
  end
end
