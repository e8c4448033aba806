# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Diary
      # One laying of tasks in a given order: each goes where it is free first, and nothing laid before it moves.
      # @api private
      class Laying
        # @param calendar [WorkingDays]
        # @param rules [Rules]
        # @param now [Integer] nothing begins before
        def initialize(calendar, rules, now)
          @calendar, @now = calendar, now
          @benches = Hash.new { |made, bench| made[bench] = Timeline.new(rules.count(bench)) }
          @people = Timeline.new(rules.people)
          @placed = {}
        end

        # @return [Hash{Object => Laid}] by key
        attr_reader :placed

        # @param task [Task] whose needs are laid
        # @param job [JobOfDiary]
        # @return [Laid]
        def lay(task, job)
          ready, held = ready(task)
          from, held_by = free(task, ready)
          made = Laid.new(
            task: task,
            job: job.id,
            from: from,
            to: from + task.minutes,
            ready: ready,
            held: (from > ready) ? held_by : held
          )
          @benches[task.bench].take(from, made.to)
          @people.take(from, made.to)
          @placed[task.key] = made
        end

        private

        # When everything it needs is done and everything it waits for is there, and what came last.
        def ready(task)
          done = task.needs.filter_map { |key| @placed[key]&.to }.max || 0
          at = [[@now, :start], [done, :needs], [waited(task, done), :waiting], [awaited(task), task.waits_for]]
          at.max_by.with_index { |(minute, _), index| [minute, -index] }
        end

        # Days of rest after what went before.
        def waited(task, done) =
          if task.days_after.positive? && done.positive?
            @calendar.minute(@calendar.end_date(done) + task.days_after)
          else
            0
          end

        def awaited(task) = task.not_before ? @calendar.minute(task.not_before) + task.at_minute : 0

        # The first moment at which both its bench and a person are free.
        def free(task, ready)
          at, held = ready, :needs
          loop do
            bench = @benches[task.bench].free(at, task.minutes)
            person = @people.free(bench, task.minutes)
            held = :bench if bench > at
            held = :people if person > bench
            return [bench, held] if person == bench

            at = person
          end
        end
      end
    end
  end
end
