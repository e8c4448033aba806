# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A quote, an order or an invoice to be written: for whom, and under which number where it isn't the next.
      class PaperForm
        LONGEST = 300
        attr_reader :kind, :customer, :number
        # @return [String] the number as it was typed
        attr_reader :typed

        # @param params [Hash]
        def initialize(params)
          @kind, @customer, @typed =
            params["kind"].to_s, params["customer"].to_s.gsub("\r\n", "\n").strip, params["number"].to_s.strip
          @number = @typed.match?(/\A[1-9]\d{0,8}\z/) ? Integer(@typed, 10) : nil
        end

        # @return [Symbol, nil]
        def problem
          return :paper_kind_missing unless Store::Bills::KINDS.include?(kind)
          return :customer_too_long if customer.size > LONGEST

          :number_unreadable unless @typed.empty? || number
        end

        def valid? = problem.nil?
      end
    end
  end
end
