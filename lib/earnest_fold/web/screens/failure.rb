# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # A page for what went wrong: what happened, and the way on.
      class Failure
        attr_reader :status

        def initialize(status)
          @status = status
        end

        def page_title = Words.say("failures.#{status}.title")

        def says = Words.say("failures.#{status}.says")
      end
    end
  end
end
