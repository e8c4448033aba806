# frozen_string_literal: true

module EarnestFold
  module Web
    # The demo house is open to whoever sits at the machine: its people are named on the page of signing in, and one
    # touch lets them in. Never over a network, and nowhere else.
    module Demo
      HERE = Networks.new("127.0.0.0/8, ::1")
      # What a proxy adds: then it isn't somebody who sits here.
      PASSED_ON = %w[HTTP_X_FORWARDED_FOR HTTP_FORWARDED HTTP_X_REAL_IP].freeze

      module_function

      # @param env [Hash] of the request
      # @return [Boolean]
      def open?(env) =
        env[Access::DEMO] && PASSED_ON.none? { |name| env.key?(name) } && HERE.include?(env["REMOTE_ADDR"])

      # @return [Array<Store::People::Person>] who can be touched
      def people =
        Store.demo_workroom&.people&.all.to_a.reject { |person| person.account_id.nil? }
          .sort_by { |person| Store::People::ROLES.index(person.role) }

      # @param person [String]
      # @return [Integer, nil] their account
      def account(person) = people.find { |one| one.id.to_s == person.to_s }&.account_id
    end
  end
end
