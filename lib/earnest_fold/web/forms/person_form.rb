# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # Somebody new who works here: their name, their role, and whether they see the books.
      class PersonForm
        LONGEST = Store::People::FIELDS.fetch(:name).kind.longest
        attr_reader :name

        # @param params [Hash]
        def initialize(params)
          @name, @role, @books = params["name"].to_s.strip, params["role"].to_s, params["books"].to_s
        end

        # @return [String]
        def role = @role.empty? ? Store::People::MAKER : @role

        def books = @books == "yes"

        # @return [Symbol, nil]
        def problem
          return :no_such_role unless Store::People::ROLES.include?(role)
          return :person_missing if name.empty?

          :person_too_long if name.size > LONGEST
        end

        def valid? = problem.nil?
      end
    end
  end
end
