# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # Who is at work.
      class PersonForm
        LONGEST = 40
        attr_reader :name

        def initialize(params)
          @name = params["name"].to_s.strip
        end

        # @return [Symbol, nil]
        def problem
          return :person_missing if name.empty?

          :person_too_long if name.size > LONGEST
        end

        def valid? = problem.nil?
      end
    end
  end
end
