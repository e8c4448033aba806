# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Diary
      # Between days and working minutes: minute 0 is the beginning of the first working day on or after the day it
      # begins.
      class WorkingDays
        # @return [Date] the first working day
        attr_reader :first

        # @param begins [Date]
        # @param rules [Rules]
        def initialize(begins, rules)
          @rules = rules
          @first = begins
          @first += 1 until works?(@first)
        end

        # @return [Boolean] whether anybody works on that day
        #
        #   working_days.works?(Date.new(2026, 3, 7)) # => false
        def works?(date) = @rules.weekdays.include?(date.cwday)

        # @param minute [Integer] a beginning: at the end of a day it is the next morning
        # @return [Date]
        #
        #   working_days.date(0).to_s # => "2026-03-02"
        def date(minute) = day(minute.div(length))

        # @param minute [Integer] an end: in the morning it is the evening before
        # @return [Date]
        #
        #   working_days.end_date(480).to_s # => "2026-03-03"
        def end_date(minute) = date([minute - 1, 0].max)

        # @return [Integer] minutes into the working day
        #
        #   working_days.of_day(500) # => 50
        def of_day(minute) = minute % length

        # @param date [Date]
        # @return [Integer] the first working minute on that day, or on the first working day after it; 0 for days
        #   before
        #
        #   working_days.minute(Date.new(2026, 3, 4)) # => 900
        def minute(date) = working_days_before(date) * length

        # @return [Integer] working minutes of a day
        #
        #   working_days.length # => 450
        def length = @rules.day_minutes

        private

        def day(number)
          weeks, rest = number.divmod(@rules.weekdays.size)
          date = @first + weeks * 7
          rest.times { date = following(date) }
          date
        end

        def following(date)
          date += 1
          date += 1 until works?(date)
          date
        end

        # Whole weeks at once, then day by day.
        def working_days_before(date)
          return 0 if date <= @first

          weeks, rest = (date - @first).to_i.divmod(7)
          weeks * @rules.weekdays.size + (0...rest).count { |past| works?(@first + weeks * 7 + past) }
        end
      end
    end
  end
end
