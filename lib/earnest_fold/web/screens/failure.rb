# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # A page for what went wrong: what happened, and the way on.
      class Failure
        attr_reader :status

        # @param status [Integer]
        # @param number [String, nil] by which the log can be searched for it
        def initialize(status, number: nil)
          @status, @number = status, number
        end

        def page_title = Words.say("failures.#{status}.title")

        def says = Words.say("failures.#{status}.says")

        # @return [String, nil] where the log is asked for it
        def number = (status >= 500) ? @number : nil
      end
    end
  end
end
