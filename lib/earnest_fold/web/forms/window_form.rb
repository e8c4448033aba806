# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A new window of a job.
      class WindowForm
        LONGEST = 80
        attr_reader :typed

        def initialize(params)
          @typed = {"room" => params["room"].to_s.strip, "name" => params["name"].to_s.strip}
        end

        # @return [Symbol, nil]
        def problem
          return :window_missing if typed.values.all?(&:empty?)

          :window_too_long if typed.values.any? { |text| text.size > LONGEST }
        end

        def valid? = problem.nil?

        def values = {room: typed["room"], name: typed["name"]}
      end
    end
  end
end
