# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A new window of a job.
      class WindowForm
        LONGEST = Store::Windows::FIELDS.fetch(:room).kind.longest
        attr_reader :typed

        def initialize(params)
          @typed = %w[room name rules].to_h { |name| [name, params[name].to_s.strip] }
        end

        # @return [Symbol, nil]
        def problem
          return :window_missing if typed.values_at("room", "name").all?(&:empty?)

          :window_too_long if typed.values.any? { |text| text.size > LONGEST }
        end

        def valid? = problem.nil?

        def values = {room: typed["room"], name: typed["name"]}

        # @param settled [Store::House::Record]
        # @return [Store::RuleSet] the set that was chosen, else the one that a new window takes
        def set(settled) = settled.set(typed["rules"]) || settled.starting_set
      end
    end
  end
end
