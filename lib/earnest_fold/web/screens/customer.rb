# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # All that is known of a customer, and what was made for them.
      class Customer
        # What may be asked of them, what they said of it last, nil where nobody asked.
        Asked = Reckoning::Value.define(:sort, :words, :given, :told)

        # @param form [Forms::CustomerForm]
        # @return [Array<Field>]
        def self.fields(form) =
          Forms::CustomerForm::NAMES.map do |name|
            Field.of_form(form, name, label: Words.say("customer.fields.#{name}"), unit: Reckoning::Units::CM)
          end

        # @param known [Work::KnownCustomer]
        # @param today [Date]
        # @param may_forget [Boolean] whether whoever looks may have them forgotten
        # @param form [Forms::CustomerForm, nil] with what couldn't be taken
        # @param house_form [Forms::CustomerHouseForm, nil] with what of a house couldn't be taken
        # @param house [Integer, nil] which of theirs that is; nil for a new one
        # @param house_problem [Symbol, nil] what stood in the way of one more
        # @param notice [Symbol, nil]
        def initialize(known, today:, may_forget:, form: nil, house_form: nil, house: nil,
          house_problem: nil, notice: nil)
          @house_form, @house = house_form, house
          @known, @today, @may_forget, @house_problem, @notice = known, today, may_forget, house_problem, notice
          @form = form || Forms::CustomerForm.new(known.customer, nil)
        end

        def customer = @known.customer

        def page_title = customer.name

        def fields = Customer.fields(@form)

        def both_versions = @form.clashes

        def houses = @known.houses

        # A house as the page shows it: its fields, and whether something of it couldn't be taken.
        OfHouse = Reckoning::Value.define(:house, :fields, :both, :open)

        # @return [Array<OfHouse>]
        def their_houses = houses.map { |house| of_house(house) }

        # @return [OfHouse] one more
        def new_house = of_house(nil)

        # @return [Boolean] whether one more can be kept
        def room_for_house? = houses.size < Store::Customers::MOST_HOUSES

        def house_problem = @house_problem && Words.say("form_problems.#{@house_problem}")

        def notice = @notice && Words.say("customer.notices.#{@notice}")

        # @return [Array<Asked>]
        def consents =
          Store::Customers::CONSENTS.map do |sort|
            said = @known.consents.find { |one| one.sort == sort }
            Asked.new(sort: sort, words: Words.say("customer.consents.#{sort}"), given: said&.given, told: told(said))
          end

        # @return [Array<Store::Customers::Customer>] who may be the same
        def doubles = @known.doubles

        # @return [String] by what two who are called alike are told apart
        def apart(other) = [other.phone, other.mail, other.address.lines.first.to_s.strip].reject(&:empty?).join(" · ")

        # @return [Array<Work::KnownCustomer::OfJob>]
        def jobs = @known.jobs

        # @param made [Work::KnownCustomer::Made]
        # @return [String] "Pencil pleat, of Harbour stripe, batch H4"
        def told_of(made)
          altered = made.sort == Work::Station::ALTERED
          kind = made.kind && Words.say("#{altered ? "alterations" : "headings"}.#{made.kind}")
          batches = made.batches.empty? ? nil : Words.say("customer.batches", batches: made.batches.join(", "))
          [kind, made.cloth && Words.say("customer.of_cloth", cloth: made.cloth), batches].compact.join(", ")
        end

        def may_forget? = @may_forget

        # @return [Array<String>] what of theirs goes where they are forgotten, and what stays
        def goes
          outlook = @known.forgetting
          counted = outlook.to_h.except(:invoices).select { |_, count| count.positive? }
          told = counted.map { |name, count| Words.say("customer.goes.#{name}", count: count) }
          told << Words.say("customer.goes.invoices", count: outlook.invoices) if outlook.invoices.positive?
          told
        end

        private

        def of_house(house)
          refused = @house_form && @house == house&.id
          form = refused ? @house_form : Forms::CustomerHouseForm.new(house, nil)
          fields = Forms::CustomerHouseForm::NAMES.map do |name|
            Field.of_form(form, name, label: Words.say("customer.of_house.#{name}"), unit: Reckoning::Units::CM)
              .with(place: "house-#{house&.id}")
          end
          OfHouse.new(house: house, fields: fields, both: form.clashes, open: refused)
        end

        def told(said)
          return Words.say("customer.not_asked") unless said

          Words.say(said.given ? "customer.given" : "customer.not_given", day: Words.date(said.on, :dated), by: said.by)
        end
      end
    end
  end
end
