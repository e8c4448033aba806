# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # For whom a job is, as its first screen shows it.
      class ForWhom
        # @return [Store::Customers::Customer, nil]
        attr_reader :customer
        # @return [Array<Store::Customers::House>] theirs
        attr_reader :houses
        # @return [Array<String>] those to choose from
        attr_reader :names

        # Of a job itself one writes so; of its papers where they stand.
        SORTS = %w[ready reminder free].freeze
        # @return [Array<Store::Letters::Letter>] written of the job, the last first
        attr_reader :letters

        # @param house [Integer, nil] where the job is
        # @param form [Forms::ForWhomForm, nil] with what couldn't be taken
        def initialize(customer, house, houses, names, form, letters: [])
          @customer, @house, @houses, @names, @form, @letters = customer, house, houses, names, form, letters
        end

        # @return [String] the name that is typed or kept
        def name = @form ? @form.name : customer&.name.to_s

        # @return [Array<Forms::Merging::Both>] what was chosen beside what somebody else left meanwhile
        def both = @form ? @form.clashes : []

        # @return [Hash{String => String}] what stands there now, by field
        def now = {"customer" => customer&.name.to_s, "house" => @house.to_s}

        def problem = @form&.problem && Words.say("form_problems.#{@form.problem}")

        # @return [Array<Store::Customers::Customer>] several who are called as it was typed
        def several = @form ? @form.named : []

        # @return [Store::Customers::House, nil]
        def house = houses.find { |one| one.id == @house }

        def sorts = SORTS

        # @return [String] what a letter is about, or what sort it is
        def subject(letter) = letter.subject.empty? ? Words.say("letters.sorts.#{letter.sort}") : letter.subject

        def chosen?(one) = one.id == @house

        # @return [String] by what they are told apart
        def apart(other) = [other.phone, other.mail, other.address.lines.first.to_s.strip].reject(&:empty?).join(" · ")
      end
    end
  end
end
