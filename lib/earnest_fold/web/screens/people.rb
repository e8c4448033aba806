# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Who works here, and what each may.
      class People
        # @return [Array<Store::People::Person>]
        attr_reader :people

        # @param people [Array<Store::People::Person>]
        # @param form [Forms::PersonForm, nil] what was typed and couldn't be taken
        def initialize(people, form: nil)
          @people, @form = people, form
        end

        def page_title = Words.say("people.title")

        def typed = @form ? @form.name : ""

        # @return [String] the role that is chosen, or begun with
        def role = @form ? @form.role : Store::People::MAKER

        # @return [Symbol, nil]
        def problem = @form&.problem

        # @return [Array<Array(String, String)>] each role and its words
        def roles = Store::People::ROLES.map { |role| [role, Words.say("roles.#{role}")] }

        # @return [String] "maker, with the books"
        def may(person) =
          [Words.say("roles.#{person.role}"), *(Words.say("people.books") if person.books)].join(", ")

        # @return [String] whether they can come in
        def stands(person)
          return person.login if person.account_id

          Words.say(person.invited ? "person.invited" : "person.not_invited")
        end
      end
    end
  end
end
