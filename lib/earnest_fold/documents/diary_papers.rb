# frozen_string_literal: true

module EarnestFold
  module Documents
    # The diary for the wall and for other calendars.
    class DiaryPapers
      # @param diary [Work::Diary]
      # @param hanging [Boolean] what is hung alone
      def initialize(diary, hanging: false)
        @diary, @hanging = diary, hanging
      end

      # @return [Array<Calendar::Event>] one for each day that a stretch of work lies on
      #
      #   Documents::DiaryPapers.new(diary).events.size # => 37
      def events =
        @diary.laid(hanging: @hanging).flat_map { |placed| @diary.days(placed).map { |day| event(placed, *day) } }

      # @param day [Date, nil] any of the week
      # @return [String] PDF: the work of each day of a week
      #
      #   Documents::DiaryPapers.new(diary).wall(Date.new(2026, 3, 2))[0, 4] # => "%PDF"
      def wall(day)
        week = Work::Week.new(@diary, day, hanging: @hanging)
        days = week.days.to_h { |date| [Words.day(date), week.stretches(date).map { |one| row(week, one) }] }
        WallPdf.new(Words.say("diary.wall_title", day: Words.date(week.monday, :long)), days).render
      end

      private

      def event(placed, date, from, to)
        about = @diary.about(placed.task.key)
        Calendar::Event.new(
          uid: "#{placed.task.key}-#{date.iso8601}@earnest-fold",
          from: @diary.at(date, from),
          to: @diary.at(date, to),
          summary: "#{Words.say("benches.#{placed.task.bench}")}: #{Words.steps(about.steps)}",
          description: about.whose
        )
      end

      def row(week, stretch)
        task = stretch.placed.task
        about, hours = @diary.about(task.key), Words.hours_of_day(*week.hours(stretch))
        [hours, Words.say("benches.#{task.bench}"), Words.steps(about.steps), about.whose]
      end
    end
  end
end
