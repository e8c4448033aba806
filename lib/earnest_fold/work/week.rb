# frozen_string_literal: true

module EarnestFold
  module Work
    # One week of the diary: its working days, and the stretches of work that lie on each.
    class Week
      # A stretch of work on one day, in minutes into it.
      Stint = Reckoning::Value.define(:placed, :date, :from, :to)

      attr_reader :diary, :monday

      # @param diary [Diary]
      # @param day [Date, nil] any of it; nil for the first that is laid
      # @param hanging [Boolean] what is hung alone: the week of whoever hangs
      def initialize(diary, day = nil, hanging: false)
        @diary, @hanging = diary, hanging
        @monday = (day || diary.plan.calendar.first).then { |date| date - (date.cwday - 1) }
      end

      # @return [Array<Date>] the working days
      #
      #   week.days.map(&:to_s).first # => "2026-03-02"
      def days = (0..6).map { |number| monday + number }.select { |date| diary.plan.calendar.works?(date) }

      # @param date [Date]
      # @return [Array<Stint>] in order of time
      #
      #   week.stretches(Date.new(2026, 3, 2)).size # => 14
      def stretches(date) = by_day.fetch(date, [])

      # @return [Array<Stint>] of the whole week
      #
      #   week.all.size # => 37
      def all = days.flat_map { |date| stretches(date) }

      # @param stretch [Stint]
      # @return [Array(Integer, Integer)] from when to when, in minutes since midnight
      #
      #   week.hours(week.all.first) # => [510, 518]
      def hours(stretch) = [stretch.from, stretch.to].map { |minute| diary.rules.day_begins + minute }

      private

      def by_day =
        @by_day ||=
          diary
            .laid(hanging: @hanging)
            .flat_map { |placed| of(placed) }
            .sort_by { |one| [one.date, one.from] }
            .group_by(&:date)

      def of(placed) =
        diary.days(placed).map { |date, from, to| Stint.new(placed: placed, date: date, from: from, to: to) }
    end
  end
end
