# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # A time of day, kept as minutes since midnight and written "8:30".
      class ClockKind < Value.define(:latest)
        include Kind

        PATTERN = /\A([01]?\d|2[0-3])[:.]([0-5]\d)\z/

        def read(raw, _unit, problems)
          number = Exact.read(raw)
          return problems.add(:not_a_time) unless number && number.denominator == 1 && !number.negative?
          return problems.add(:too_many, most: latest) if number > latest

          number.numerator
        end

        def show(kept, _unit) = kept ? ClockKind.written(kept) : ""

        def take(typed, _unit) = ClockKind.minute(typed) || typed

        # @param text [String] "8:30"
        # @return [Integer, nil] minutes since midnight; nil for what is no time
        def self.minute(text)
          match = PATTERN.match(text)
          match && Integer(match[1], 10) * 60 + Integer(match[2], 10)
        end

        # @param minute [Integer] since midnight
        # @return [String]
        #
        #   FieldKinds::ClockKind.written(510) # => "8:30"
        def self.written(minute) = format("%d:%02d", *minute.divmod(60))

        def schema = {"type" => "integer", "minimum" => 0, "maximum" => latest}
      end
    end
  end
end
