# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Diary
      # The order in which tasks are laid. What counts first is how many days jobs are late in all, then the day on
      # which the last is done. Few tasks are tried in every order that their needs allow; of many, a few orders that
      # makers use are weighed against each other.
      # @api private
      class BestOrder
        # So many tasks are tried in every order.
        FEW = 7
        FAR = Date.new(9999, 1, 1)

        # @param jobs [Array<JobOfDiary>]
        # @param day_minutes [Integer] of a working day
        # @yieldparam order [Array<Array(Task, JobOfDiary)>]
        # @yieldreturn [Array(Object, Comparable)] a laying, and its cost
        def initialize(jobs, day_minutes, &lay)
          @jobs, @day_minutes, @lay = jobs, day_minutes, lay
        end

        # @return [Object] the best laying; the first of equals
        def laying
          orders = (@jobs.sum { |job| job.tasks.size } <= FEW) ? every : likely
          orders.map { |order| @lay.call(order) }.min_by.with_index { |(_, cost), index| [cost, index] }&.first
        end

        private

        # By the promised day; by the least time left; the longest job first; job by job or all side by side.
        def likely
          by_promise = @jobs.sort_by.with_index { |job, index| [job.promised || FAR, index] }
          by_slack = @jobs.sort_by.with_index do |job, index|
            [(job.promised || FAR).jd * @day_minutes - minutes(job), index]
          end
          longest = @jobs.sort_by.with_index { |job, index| [-minutes(job), index] }
          [by_promise, by_slack, longest].uniq.map { |order| order.flat_map { |job| pairs(job) } } +
            [side_by_side(by_promise)]
        end

        def minutes(job) = job.tasks.sum(&:minutes)

        def pairs(job) = job.tasks.map { |task| [task, job] }

        # The first of every job, then the second of every job.
        def side_by_side(jobs)
          longest = jobs.map { |job| job.tasks.size }.max.to_i
          (0...longest).flat_map { |place| jobs.filter_map { |job| (task = job.tasks[place]) && [task, job] } }
        end

        # Every order in which nothing comes before what it needs.
        def every(laid = [], left = @jobs.flat_map { |job| pairs(job) })
          return [laid] if left.empty?

          waiting = left.map { |task, _| task.key }
          left
            .select { |task, _| (task.needs & waiting).empty? }
            .flat_map { |pair| every(laid + [pair], left - [pair]) }
        end
      end
    end
  end
end
