# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Diary
      # A diary laid: the same from the same jobs, whenever it is asked for.
      class Plan
        # A job that isn't ready on the day it was promised for: when it will be, and the step that endangers it.
        Late = Value.define(:job, :promised, :ready, :endangered_by)

        # @return [Array<Laid>] in order of time
        attr_reader :placed
        # @return [WorkingDays]
        attr_reader :calendar

        # @param jobs [Array<JobOfDiary>] a task's needs are tasks of the same job
        # @param rules [Rules]
        # @param begins [Date]
        # @param now [Integer] minutes of the first day that are over
        # @raise [ArgumentError] where tasks need each other in a circle, or one that isn't there
        def initialize(jobs, rules, begins, now: 0)
          @jobs, @rules = jobs.map { |job| job.with(tasks: in_order(job)) }, rules
          @calendar = WorkingDays.new(begins, rules)
          @now = now
          laying = BestOrder.new(@jobs, calendar.length) { |order| lay(order) }.laying
          @placed =
            (laying ? laying.placed.values : [])
              .sort_by { |one| [one.from, BENCHES.index(one.task.bench), one.task.key.to_s] }
              .freeze
          @by_job = @placed.group_by(&:job)
        end

        # @return [Integer] the working minute at which the last is done
        #
        #   Diary::Plan.new([], Diary::USUAL, Date.new(2026, 3, 2)).ends # => 0
        def ends = placed.map(&:to).max || 0

        # @param job_id [Object]
        # @return [Date, nil] when a job is ready
        #
        #   diary.plan.ready(7).to_s # => "2026-03-06"
        def ready(job_id) = (made = @by_job[job_id]) && calendar.end_date(made.map(&:to).max)

        # @return [Array<Late>]
        #
        #   diary.plan.late # => []
        def late
          @jobs.filter_map do |job|
            there = ready(job.id)
            if there && job.promised && there > job.promised
              Late.new(job: job.id, promised: job.promised, ready: there, endangered_by: endangering(job))
            end
          end
        end

        # @return [Integer] days late, of all jobs together
        #
        #   Diary::Plan.new([], Diary::USUAL, Date.new(2026, 3, 2)).days_late # => 0
        def days_late = late.sum { |one| (one.ready - one.promised).to_i }

        # @param key [Object] of a task
        # @return [Integer] the first working minute at which it could begin, as far as what it needs goes
        #
        #   diary.plan.earliest(diary.laid.first.task.key) # => 0
        def earliest(key)
          task = placed.find { |one| one.task.key == key }.task
          placed.select { |one| task.needs.include?(one.task.key) }.map(&:to).max || 0
        end

        private

        def lay(order)
          laying = Laying.new(calendar, @rules, @now)
          order.each { |task, job| laying.lay(task, job) }
          [laying, cost(laying)]
        end

        def cost(laying)
          ends = laying.placed.each_value.group_by(&:job).transform_values { |made| made.map(&:to).max }
          late = @jobs.sum do |job|
            (job.promised && ends[job.id]) ? [(calendar.end_date(ends[job.id]) - job.promised).to_i, 0].max : 0
          end
          [late, ends.values.max || 0]
        end

        # What a job waited for longest; where it never waited, its longest step.
        def endangering(job)
          made = @by_job.fetch(job.id)
          held = made.max_by { |one| one.from - began(one, made) }
          (held.from > began(held, made)) ? held : made.max_by { |one| one.task.minutes }
        end

        # When it could have begun if nothing but what it needs had held it.
        def began(one, made) = made.select { |other| one.task.needs.include?(other.task.key) }.map(&:to).max || @now

        # Each after what it needs, otherwise as they came.
        def in_order(job)
          keys = job.tasks.map(&:key)
          left, done = job.tasks.dup, []
          until left.empty?
            task = left.find { |one| (one.needs - done.map(&:key)).empty? } or
              raise ArgumentError, "tasks of job #{job.id} need each other, or none of #{keys}"
            done << left.delete(task)
          end
          done
        end
      end
    end
  end
end
