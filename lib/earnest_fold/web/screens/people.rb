# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Who is at this bench: changes are kept in their name.
      class People
        attr_reader :names, :person, :problem, :typed

        # @param names [Array<String>]
        # @param person [String] who is at work here now
        def initialize(names, person, typed: "", problem: nil)
          @names, @person, @typed, @problem = names, person, typed, problem
        end

        def page_title = Words.say("people.title")
      end
    end
  end
end
