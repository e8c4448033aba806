# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # For whom a job is: a customer by name or by number, and which of their houses. Nothing said takes it away.
      class ForWhomForm
        # @return [String]
        attr_reader :name

        # @param customers [Store::Customers]
        # @param params [Hash]
        # @param now [Integer, nil] whose it is already: one of several of that name stays theirs
        def initialize(customers, params, now = nil)
          @customers, @name, @now = customers, params["customer"].to_s.strip, now
          @number, @house = params["customer_id"].to_s, params["house"].to_s
        end

        # @return [Symbol, nil]
        def problem
          return :person_too_long if name.size > Store::Customers::FIELDS.fetch(:name).kind.longest

          :several_customers if named.size > 1
        end

        def valid? = problem.nil?

        # @return [Array<Store::Customers::Customer>] who is called so
        def named = @named ||= (name.empty? || number) ? [] : theirs(@customers.named(name))

        # @return [Integer, nil] the customer; somebody of whom nobody knows yet is made
        def customer
          return number if number
          return if name.empty?

          @customer ||= named.first&.id || @customers.add(name: name)
        end

        # @return [Integer, nil] of that customer's
        def house = @customers.houses(customer).map(&:id).find { |id| id.to_s == @house }

        private

        def theirs(all) = all.select { |one| one.id == @now }.then { |own| own.empty? ? all : own }

        def number = @number.match?(/\A[1-9]\d{0,8}\z/) ? Integer(@number, 10) : nil
      end
    end
  end
end
