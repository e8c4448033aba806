# frozen_string_literal: true

require "forwardable"

module EarnestFold
  module Web
    module Screens
      # The diary: what is promised, a week of benches, and the work of each day.
      class Diary
        # A job with what it is promised for and when it will be ready.
        Promise = Reckoning::Value.define(:sheet, :promised, :ready, :late, :held)

        extend Forwardable

        attr_reader :diary, :problem, :typed

        # @param diary [Work::Diary]
        # @param week [String, nil] a day of the week that is looked at
        # @param others [Array<Array(Integer, String)>] jobs that could be put in: id and title
        # @param hanging [Boolean] what is hung alone, for whoever hangs and moves nothing
        # @param whereabouts [Hash{Integer => Store::Customers::Whereabouts}] by job
        # @param problem [Symbol, nil] what stood in the way of a move, and `typed` what was asked
        def initialize(diary, week: nil, others: [], hanging: false, whereabouts: {}, problem: nil, typed: {})
          @diary, @others, @hanging, @whereabouts, @typed = diary, others, hanging, whereabouts, typed
          @problem = problem && Words.say("form_problems.#{problem}")
          @week = Work::Week.new(diary, Reckoning::FieldKinds::DateKind.date(week), hanging: hanging)
        end

        def_delegators :@week, :monday, :days, :stretches

        # @return [Stretch, nil] the one that is to be moved
        def moving =
          @moving ||= diary.task?(typed["key"].to_s) ? plan.placed.find { |one| one.task.key == typed["key"] } : nil

        # What changes only with the diary itself.
        # @yieldreturn [String]
        def shown(part, &block) = Fragments.of(diary, part, monday, hanging?, @whereabouts, &block)

        # @return [Boolean] whether it is the week of whoever hangs
        def hanging? = @hanging

        # @param placed [Reckoning::Diary::Laid]
        # @return [String, nil] where one goes to hang, and who is rung first
        def where(placed)
          there = @whereabouts[placed.job] if about(placed).hanging?
          there && [there.name, there.phone, there.house, there.address.tr("\n", ",")].reject(&:empty?).join(" · ")
        end

        # @param promise [Promise]
        # @return [String, nil] where whoever looks goes on: to the job, or to where it hangs
        def on(promise)
          return "#{Paths.job(promise.sheet.job.id)}#in-diary" unless hanging?

          first = promise.sheet.works.find(&:reckoning)
          first && Paths.station(promise.sheet.job.id, first.id, "hanging")
        end

        def page_title = Words.say("diary.title")

        def plan = diary.plan

        # @return [Array<Array(Integer, String)>]
        attr_reader :others

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

        # @return [Array<Work::Week::Stint>] of the whole week
        def week = @week.all

        # @return [String] SVG
        def drawing = Drawings::DiaryWeek.new(days, diary.rules, week.map { |one| block(one) }).to_s

        # @param placed [Reckoning::Diary::Laid]
        # @return [String] what is done: its steps
        def what(placed) = Words.steps(about(placed).steps)

        # @return [String] of which work
        def whose(placed) = about(placed).whose

        # @return [String, nil] where it is done
        def path(placed)
          about = about(placed)
          place = [about.sheet.job.id, about.entry.id]
          about.hanging? ? Paths.station(*place, "hanging") : Paths.bench(*place, about.steps.first.name)
        end

        # @return [String] "8:30–10:15"
        def hours(stretch) = Words.hours_of_day(*@week.hours(stretch))

        # @return [String] why it stands where it stands
        def held(placed) = Words.say("diary.held.#{placed.held}")

        # @param placed [Reckoning::Diary::Laid]
        def moved?(placed) = !diary.move(placed.task.key).nil?

        # @return [String] where it was moved to by hand, as the page saw it
        def saw_move(placed) = Forms::MoveForm.told(diary.move(placed.task.key))

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
          parts = Words.short(diary.short(job.id), promise.sheet.unit)
          by = promise.promised || promise.ready || diary.now.to_date
          Words.say("diary.short", title: job.title, parts: parts, days: [(by - diary.now.to_date).to_i, 0].max)
        end

        # @return [String] "Monday 9 March", with its year where that is far
        def day_words(date) = Words.day(date, seen: diary.now.to_date)

        # @return [String] "Mon 9 Mar", likewise
        def short_day(date) = Words.date(date, :in_week, seen: diary.now.to_date)

        private

        def about(placed) = diary.about(placed.task.key)

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
