# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The diary: what is promised, a week of benches, and the work of each day.
      class Diary
        K = Reckoning::FieldKinds
        # A stretch of work on one day.
        Stretch = Reckoning::Value.define(:placed, :date, :from, :to)
        # A job with what it is promised for and when it will be ready.
        Promise = Reckoning::Value.define(:sheet, :promised, :ready, :late, :held)

        attr_reader :diary, :problem, :typed

        # @param diary [Work::Diary]
        # @param week [String, nil] a day of the week that is looked at
        # @param others [Array<Array(Integer, String)>] jobs that could be put in: id and title
        # @param problem [Symbol, nil] what stood in the way of a move, and `typed` what was asked
        def initialize(diary, week: nil, others: [], problem: nil, typed: {})
          @diary, @week, @others, @problem, @typed =
            diary, week, others, problem && Words.say("form_problems.#{problem}"), typed
        end

        # @return [Stretch, nil] the one that is to be moved
        def moving =
          @moving ||= diary.task?(typed["key"].to_s) ? plan.placed.find { |one| one.task.key == typed["key"] } : nil

        # What changes only with the diary itself.
        # @yieldreturn [String]
        def shown(part, &block) = diary.once(part, monday, &block)

        def page_title = Words.say("diary.title")

        def plan = diary.plan

        # @return [Array<Array(Integer, String)>]
        attr_reader :others

        # @return [Date] the Monday
        def monday =
          @monday ||= (K::DateKind.date(@week) || plan.calendar.first).then { |date| date - (date.cwday - 1) }

        # @return [Array<Date>] the working days of the week
        def days = (0..6).map { |number| monday + number }.select { |date| plan.calendar.works?(date) }

        # @return [Array<Promise>] the jobs that are in it, in the order of what they promised
        def promises
          late = plan.late.to_h { |one| [one.job, one] }
          diary.sheets.map do |sheet|
            Promise.new(
              sheet: sheet,
              promised: Work::Diary.date(sheet.job, "promised"),
              ready: plan.ready(sheet.job.id),
              late: late[sheet.job.id],
              held: diary.held?(sheet.job)
            )
          end
        end

        # @param date [Date]
        # @return [Array<Stretch>] in order of time
        def stretches(date) = by_day.fetch(date, [])

        # @return [Array<Stretch>] of the whole week
        def week = days.flat_map { |date| stretches(date) }

        # @return [String] SVG
        def drawing = Drawings::DiaryWeek.new(days, diary.rules, week.map { |one| block(one) }).to_s

        # @param placed [Reckoning::Diary::Placed]
        # @return [String] what is done: its steps
        def what(placed)
          about = diary.about(placed.task.key)
          return Words.say("diary.hanging") if about.steps.empty?

          about.steps.map { |step| Words.say("work_steps.#{step.code}.title") }.uniq.join(", ")
        end

        # @return [String] of which work
        def whose(placed) =
          diary
            .about(placed.task.key)
            .then do |about|
              about.steps.empty? ? about.sheet.job.title : "#{about.entry.title}, #{about.sheet.job.title}"
            end

        # @return [String, nil] where it is done
        def path(placed)
          about = diary.about(placed.task.key)
          at = about.steps.empty? ? "hanging" : "bench?#{Making.asking(about.steps.first)}"
          "/jobs/#{about.sheet.job.id}/treatments/#{about.entry.id}/#{at}"
        end

        # @return [String] "8:30–10:15"
        def hours(stretch) =
          [stretch.from, stretch.to].map { |minute| K::ClockKind.written(diary.rules.day_begins + minute) }.join("–")

        # @return [String] why it stands where it stands
        def held(placed) = Words.say("diary.held.#{placed.held}")

        # @param placed [Reckoning::Diary::Placed]
        def moved?(placed) = !diary.move(placed.task.key).nil?

        def endangered(late) =
          Words.say(
            "diary.endangered",
            what: what(late.endangered_by),
            whose: whose(late.endangered_by),
            held: held(late.endangered_by)
          )

        # @return [String, nil] what hanging is held for, and how many days there are to get it
        def held_words(promise)
          return unless promise.held

          job = promise.sheet.job
          parts =
            diary
              .short(job.id)
              .map do |part|
                "#{Words.figure(part.short, promise.sheet.unit)} #{Words.say("sundries.#{part.name}").downcase}"
              end
              .join(", ")
          by = promise.promised || promise.ready || diary.now.to_date
          Words.say("diary.short", title: job.title, parts: parts, days: [(by - diary.now.to_date).to_i, 0].max)
        end

        def day_words(date) = date.strftime("%A %-d %B")

        private

        def by_day =
          @by_day ||=
            plan
              .placed
              .flat_map do |placed|
                diary.days(placed).map { |date, from, to| Stretch.new(placed: placed, date: date, from: from, to: to) }
              end
              .sort_by { |one| [one.date, one.from] }
              .group_by(&:date)

        def block(stretch) =
          Drawings::DiaryWeek::Block.new(
            date: stretch.date,
            from: stretch.from,
            to: stretch.to,
            bench: stretch.placed.task.bench,
            job: stretch.placed.job,
            words: whose(stretch.placed),
            says: "#{hours(stretch)} #{what(stretch.placed)}: #{whose(stretch.placed)}",
            href: path(stretch.placed),
            late: late?(stretch.placed)
          )

        def late?(placed) = (@late_jobs ||= plan.late.map(&:job)).include?(placed.job)
      end
    end
  end
end
