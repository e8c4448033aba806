# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A house of a customer's: what it is called, where it is, and how one comes in.
      class CustomerHouseForm
        LONGEST = {name: 80, address: 300, notes: 500}.freeze
        # @return [Hash{Symbol => String}]
        attr_reader :values

        # @param params [Hash]
        def initialize(params)
          @values = LONGEST.to_h { |name, _| [name, params[name.to_s].to_s.gsub("\r\n", "\n").strip] }
        end

        # @return [Symbol, nil]
        def problem
          return :house_missing if values[:name].empty?

          :house_too_long if LONGEST.any? { |name, most| values[name].size > most }
        end

        def valid? = problem.nil?
      end
    end
  end
end
