# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # For whom a job is: a customer by name or by number, and which of their houses; merged by field. Nothing said
      # takes it away.
      class ForWhomForm
        include Merging

        # @param customers [Store::Customers]
        # @param params [Hash]
        # @param job [Store::Records::Job] as it is: one of several of that name stays whose it is
        def initialize(customers, params, job)
          @customers, @params, @job = customers, params, job
          @saw = Saw.new(params) { |field| shown(field) }
          @chosen = {"customer" => mine?("customer", name), "house" => mine?("house", text("house"))}
        end

        # @return [String] the customer's, as typed
        def name = @name ||= number ? @customers.find(number).name : text("customer")

        # @return [Symbol, nil]
        def problem
          return :person_too_long if name.size > Store::Customers::FIELDS.fetch(:name).kind.longest

          :several_customers if another? && named.size > 1
        end

        def valid? = problem.nil? && clashes.empty?

        # @return [Array<Store::Customers::Customer>] who is called so
        def named = @named ||= (name.empty? || number) ? [] : theirs(@customers.named(name))

        # @return [Integer, nil] the customer; somebody of whom nobody knows yet is made
        def customer
          return @job.customer_id unless another?
          return number if number
          return if name.empty?

          @customer ||= named.first&.id || @customers.add(name: name)
        end

        # @return [Integer, nil] of that customer's
        def house
          wanted = @chosen["house"] ? text("house") : @job.house_id.to_s
          @customers.houses(customer).map(&:id).find { |id| id.to_s == wanted }
        end

        private

        # @return [Boolean] whether it becomes somebody else's: also somebody who is called as they are
        def another? = @chosen["customer"] || (!number.nil? && number != @job.customer_id && clashes.empty?)

        def text(field) = @params[field].is_a?(String) ? @params[field].strip : shown(field)

        def shown(field)
          return @job.house_id.to_s if field == "house"

          @now ||= @job.customer_id ? @customers.find(@job.customer_id).name : ""
        end

        def called(field) = Words.say("for_whom.#{field}")

        def in_words(field, text)
          house = @customers.houses(@job.customer_id).find { |one| one.id.to_s == text } if field == "house"
          house ? house.name : text
        end

        def theirs(all) = all.select { |one| one.id == @job.customer_id }.then { |own| own.empty? ? all : own }

        def number
          text = @params["customer_id"].to_s
          text.match?(/\A[1-9]\d{0,8}\z/) ? Integer(text, 10) : nil
        end
      end
    end
  end
end
