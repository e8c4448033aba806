# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a customer answers to what a link shows them, in their name.
      class LinkAnswerForm
        LONGEST = 80
        # @return [String]
        attr_reader :said, :name

        # @param params [Hash]
        def initialize(params)
          @said, @name = params["said"].to_s, params["name"].to_s.strip
        end

        # @return [Symbol, nil]
        def problem
          return :answer_missing unless Store::Bills::ANSWERS.include?(said)
          return :your_name_missing if name.empty?

          :person_too_long if name.size > LONGEST
        end

        def valid? = problem.nil?
      end
    end
  end
end
