# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One who works here: what they may, which jobs are lent to them, and their invitation.
      class Person
        # @return [Store::People::Person]
        attr_reader :person
        # @return [Array<Store::Jobs::Line>]
        attr_reader :jobs
        # @return [String, nil] the link of an invitation, told once
        attr_reader :link

        # @param person [Store::People::Person]
        # @param jobs [Array] of the workroom, the last first
        # @param lent [Array<Integer>] ids of those that are lent to them
        # @param link [String, nil]
        # @param form [Forms::KnownPersonForm, nil] with what couldn't be taken
        # @param notice [Symbol, nil] why it wasn't changed
        def initialize(person, jobs:, lent:, link: nil, form: nil, notice: nil)
          @person, @jobs, @lent, @link, @notice = person, jobs, lent, link, notice
          @form = form || Forms::KnownPersonForm.new(person, nil)
        end

        def page_title = person.name

        # @return [String, nil]
        def notice = @notice && Words.say("person.problems.#{@notice}")

        def lent?(job) = @lent.include?(job.id)

        # @return [Array<Forms::Merging::Both>] what was chosen beside what somebody else left meanwhile
        def both_versions = @form.clashes

        # @return [Field]
        def name = field("name")

        # @return [Field]
        def role = field("role")

        # @return [Field]
        def books = field("books")

        # @return [Array<Array(String, String, Boolean)>] each role, its words, and whether it is chosen
        def roles =
          Store::People::ROLES.map { |one| [one, Words.say("roles.#{one}"), one == role.text] }

        # @return [String] those of the jobs shown that are lent to them, as the page saw them
        def saw_lent = (jobs.map(&:id) & @lent).join(" ")

        # @return [Boolean] whether they see only what is lent to them
        def apprentice? = person.role == Store::People::APPRENTICE

        # @return [String] whether they can come in
        def stands
          return Words.say("person.signs_in", login: person.login) if person.account_id

          Words.say(person.invited ? "person.invited" : "person.not_invited")
        end

        def invite_says = Words.say(person.account_id ? "person.new_password" : "person.invite")

        private

        def field(name) =
          Field.of_form(@form, name, label: Words.say("person.fields.#{name}"), unit: Reckoning::Units::CM)
      end
    end
  end
end
