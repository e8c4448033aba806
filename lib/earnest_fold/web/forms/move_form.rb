# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A step of the diary moved by hand, or let fall where it falls.
      class MoveForm
        DAY = /\A\d{4}-\d\d-\d\d\z/
        TIME = /\A([01]?\d|2[0-3])[:.]([0-5]\d)\z/
        attr_reader :typed, :problem

        # @param diary [DiarySheet]
        # @param params [Hash]
        def initialize(diary, params)
          @diary, @typed, @back = diary, %w[key day time].to_h { |name| [name, params[name].to_s.strip] }, params["back"] == "yes"
          raise Store::Missing, "no such step" unless diary.task?(typed["key"])

          @problem = back? ? nil : found
        end

        def valid? = problem.nil?

        # @return [Boolean] whether it is let fall
        def back? = @back

        # @return [Array(Integer, String)]
        def place = @diary.place(typed["key"])

        # @return [Date, nil]
        def day
          Date.iso8601(typed["day"]) if DAY.match?(typed["day"])
        rescue Date::Error
          nil
        end

        # @return [Integer] minutes into the working day
        def at_minute
          match = TIME.match(typed["time"]) or return 0
          (Integer(match[1], 10) * 60 + Integer(match[2], 10) - @diary.rules.day_begins).clamp(0, @diary.rules.day_minutes - 1)
        end

        # @return [String] the week that it is in then
        def week = (if back?
                      Date.iso8601(DAY.match?(typed["day"]) ? typed["day"] : @diary.now.to_date.iso8601)
                    else
                      day
                    end).iso8601

        private

        def found
          return :day_unreadable unless day
          return :time_unreadable unless typed["time"].empty? || TIME.match?(typed["time"])
          return :day_too_far if day > @diary.now.to_date + 730

          minute, awaited = @diary.plan.calendar.minute(day) + at_minute, @diary.about(typed["key"]).awaited
          return :moved_too_early if day < @diary.now.to_date || minute < @diary.plan.earliest(typed["key"])

          :moved_before_it_came if awaited && day < awaited
        end
      end
    end
  end
end
