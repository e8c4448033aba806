# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A step of the diary moved by hand, or let fall where it falls.
      class MoveForm
        R = Reckoning
        attr_reader :typed, :problem

        # @param diary [Work::Diary]
        # @param params [Hash]
        def initialize(diary, params)
          @diary, @typed, @back =
            diary, %w[key day time].to_h { |name| [name, params[name].to_s.strip] }, params["back"] == "yes"
          raise Store::Missing, "no such step" unless diary.task?(typed["key"])

          @saw = Saw.new(params) { |_| MoveForm.told(was) }.text("place")
          @problem = found
        end

        # @param move [Store::Diary::Move, nil]
        # @return [String] where a step was moved to by hand, as a page says that it saw it
        def self.told(move) = move ? "#{move.day.iso8601} #{move.at_minute}" : ""

        # @return [Store::Diary::Move, nil] where it was moved to before
        def was = @diary.move(typed["key"])

        # @return [Boolean] whether somebody else moved it since the page was shown
        def meanwhile? = @saw != MoveForm.told(was)

        def valid? = problem.nil?

        # @return [Boolean] whether it is let fall
        def back? = @back

        # @return [Array(Integer, String)]
        def place = @diary.place(typed["key"])

        # @return [Date, nil]
        def day = R::FieldKinds::DateKind.date(typed["day"])

        # @return [Integer] minutes into the working day
        def at_minute =
          R::FieldKinds::ClockKind
            .minute(typed["time"])
            &.then { |minute| (minute - @diary.rules.day_begins).clamp(0, @diary.rules.day_minutes - 1) } || 0

        # @return [String] the week that it is in then
        def week = (day || @diary.now.to_date).iso8601

        private

        def found
          return :moved_meanwhile if meanwhile?
          return if back?
          return :day_unreadable unless day
          return :time_unreadable unless typed["time"].empty? || R::FieldKinds::ClockKind.minute(typed["time"])
          return :day_too_far if day > @diary.now.to_date + 730

          minute, awaited = @diary.plan.calendar.minute(day) + at_minute, @diary.about(typed["key"]).awaited
          return :moved_too_early if day < @diary.now.to_date || minute < @diary.plan.earliest(typed["key"])

          :moved_before_it_came if awaited && day < awaited
        end
      end
    end
  end
end
