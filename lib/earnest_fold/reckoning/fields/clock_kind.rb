# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # A time of day, kept as minutes since midnight and written "8:30".
      class ClockKind < Value.define(:latest)
        include Kind

        # "8:30", "8.30", "8h30", "830", "8", "8 am".
        PATTERN = /\A(?<hour>\d{1,2})(?:\s*[:.h ]?\s*(?<minute>[0-5]\d)|h)?\s*(?:(?<half>[ap])\.?m\.?)?\z/i
        # What an hour of either half of the day counts from: twelve comes before one.
        HALVES = {"a" => 0, "p" => 12}.freeze

        def read(raw, _unit, problems)
          number = Exact.read(raw)
          return problems.add(:not_a_time) unless number && number.denominator == 1 && !number.negative?
          return problems.add(:too_many, most: latest) if number > latest

          number.numerator
        end

        def show(kept, _unit) = kept ? ClockKind.written(kept) : ""

        # What stands for a figure that nobody can read as a time: it must not be read as so many minutes.
        NO_TIME = ""

        def take(typed, _unit) = ClockKind.minute(typed) || NO_TIME

        # @param text [String] as people write it
        # @return [Integer, nil] minutes since midnight; nil for what is no time
        #
        #   FieldKinds::ClockKind.minute("8:30")    # => 510
        #   FieldKinds::ClockKind.minute("1.30 pm") # => 810
        def self.minute(text)
          match = PATTERN.match(text.strip) or return
          hour = hour_of(Integer(match[:hour], 10), match[:half]) or return
          hour * 60 + match[:minute].to_i
        end

        def self.hour_of(hour, half)
          return (hour if hour < 24) unless half

          hour % 12 + HALVES.fetch(half.downcase) if hour.between?(1, 12)
        end
        private_class_method :hour_of

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
