# frozen_string_literal: true

module EarnestFold
  module Web
    # The diary made ready for the wall and for other calendars.
    class DiaryPapers
      # @param diary [Work::Diary]
      def initialize(diary)
        @diary = diary
        @screen = Screens::Diary.new(diary)
      end

      # @return [Array<Documents::Calendar::Event>] one for each day that a stretch of work lies on
      def events
        @diary.plan.placed.flat_map do |placed|
          @diary.days(placed).map do |date, from, to|
            Documents::Calendar::Event.new(
              uid: "#{placed.task.key}-#{date.iso8601}@earnest-fold",
              from: @diary.at(date, from),
              to: @diary.at(date, to),
              summary: "#{Words.say("benches.#{placed.task.bench}")}: #{@screen.what(placed)}",
              description: @screen.whose(placed)
            )
          end
        end
      end

      # @param week [String, nil] a day of it
      # @return [String] PDF: the work of each day of a week
      def wall(week)
        screen = Screens::Diary.new(@diary, week: week)
        days = screen.days.to_h do |date|
          [
            screen.day_words(date),
            screen
              .stretches(date)
              .map do |one|
                [
                  screen.hours(one),
                  Words.say("benches.#{one.placed.task.bench}"),
                  screen.what(one.placed),
                  screen.whose(one.placed)
                ]
              end
          ]
        end
        Documents::WallPdf.new(Words.say("diary.wall_title", day: screen.monday.strftime("%-d %B %Y")), days).render
      end
    end
  end
end
