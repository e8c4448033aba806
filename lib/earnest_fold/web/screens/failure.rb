# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # A page for what went wrong: what happened, and the way on.
      class Failure
        attr_reader :status

        # @param status [Integer]
        # @param words [Symbol, Integer] under which it is told
        # @param number [String, nil] by which the log can be searched for it
        def initialize(status, words = status, number: nil)
          @status, @words, @number = status, words, number
        end

        def page_title = Words.say("failures.#{@words}.title")

        def says = Words.say("failures.#{@words}.says")

        # @return [String, nil] where the log is asked for it
        def number = (status >= 500) ? @number : nil
      end
    end
  end
end
