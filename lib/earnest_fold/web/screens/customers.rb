# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # For whom the workroom works, found by any part of what is known of them.
      class Customers
        # @return [Array<Store::Customers::InList>]
        attr_reader :found
        # @return [String] what was looked for
        attr_reader :words

        # @param found [Array<Store::Customers::InList>]
        # @param form [Forms::CustomerForm, nil] a new one, with what couldn't be taken
        def initialize(found, words:, page: 1, form: nil)
          @found, @words, @page = found, words, page
          @form = form || Forms::CustomerForm.new(nil, nil)
        end

        def page_title = Words.say("customers.title")

        # @return [Pager]
        def pages =
          Pager.new(Paths.customers, @page, found.size == Store::Customers::MOST_LISTED, asked)

        # @return [Array<Field>] what is known of a new one: the name is enough
        def fields = Customer.fields(@form)

        # @return [Boolean] whether somebody new was typed
        def typed? = !@form.valid?

        # @return [String] how and where they are reached, in one line
        def reached(one) =
          [one.customer.phone, one.customer.mail, *one.houses.map(&:name)].reject(&:empty?).join(" · ")

        private

        def asked = words.empty? ? {} : {"q" => words}
      end
    end
  end
end
