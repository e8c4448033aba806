# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a customer answered to a quote or an order, and on which day: today where nobody says.
      class PaperAnswerForm
        # @return [String]
        attr_reader :said
        # @return [Date, nil]
        attr_reader :day

        # @param params [Hash]
        # @param today [Date]
        def initialize(params, today)
          typed = params["on"].to_s.strip
          @said, @today = params["said"].to_s, today
          @day = typed.empty? ? today : Reckoning::FieldKinds::DateKind.date(typed)
        end

        # @return [Symbol, nil]
        def problem
          return :answer_missing unless Store::Bills::ANSWERS.include?(said)
          return :day_unreadable unless day

          :answer_to_come if day > @today
        end

        def valid? = problem.nil?
      end
    end
  end
end
