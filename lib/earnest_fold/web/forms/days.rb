# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # Days and times of day as people and date fields write them.
      module Days
        DAY = /\A\d{4}-\d\d-\d\d\z/
        TIME = /\A([01]?\d|2[0-3])[:.]([0-5]\d)\z/

        module_function

        # @param text [String, nil] "2026-03-14"
        # @return [Date, nil] nil for what is no day
        def date(text)
          Date.iso8601(text) if DAY.match?(text.to_s)
        rescue Date::Error
          nil
        end

        # @param text [String] "8:30"
        # @return [Integer, nil] minutes since midnight; nil for what is no time
        def minute(text)
          match = TIME.match(text)
          match && Integer(match[1], 10) * 60 + Integer(match[2], 10)
        end

        # @param minute [Integer] since midnight
        # @return [String] "8:30"
        def clock(minute) = format("%d:%02d", *minute.divmod(60))
      end
    end
  end
end
