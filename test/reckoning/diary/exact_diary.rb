# frozen_string_literal: true

# A slow and independent way to the best diary: every task at every minute that could be, with nothing but the rules
# checked. For small cases, beside which the diary's own laying is held.
class ExactDiary
  # @param jobs [Array<Reckoning::Diary::JobOfDiary>]
  # @param calendar [Reckoning::Diary::WorkingDays]
  # @param rules [Reckoning::Diary::Rules]
  # @param horizon [Integer] minutes after which nothing begins
  def initialize(jobs, calendar, rules, horizon)
    @calendar, @rules, @horizon = calendar, rules, horizon
    @jobs = jobs
    @tasks = jobs.flat_map { |job| job.tasks.map { |task| [task, job] } }
  end

  # @return [Array(Integer, Integer)] the least days late in all, and with them the least minute at which all is done
  def best
    @best = nil
    search({})
    @best
  end

  private

  def search(starts)
    return weigh(starts) if starts.size == @tasks.size

    task, = @tasks[starts.size]
    (0..@horizon).each do |at|
      next unless allowed?(task, at, starts)

      search(starts.merge(task.key => [task, at]))
    end
  end

  # Tasks come after what they need: those stand before them in their job's list.
  def allowed?(task, at, starts)
    done = task.needs.map { |key| starts.fetch(key).then { |need, from| from + need.minutes } }.max
    return false if done && at < done
    if done && task.days_after.positive? && at < @calendar.minute(@calendar.end_date(done) + task.days_after)
      return false
    end
    return false if task.not_before && at < @calendar.minute(task.not_before) + task.at_minute

    (at...at + task.minutes).all? do |minute|
      busy(starts, minute, task.bench) < @rules.count(task.bench) && busy(starts, minute) < @rules.people
    end
  end

  def busy(starts, minute, bench = nil) =
    starts.each_value.count do |task, from|
      (bench.nil? || task.bench == bench) && minute >= from && minute < from + task.minutes
    end

  def weigh(starts)
    ends = @jobs.to_h do |job|
      [job.id, job.tasks.map { |task| starts[task.key].then { |made, from| from + made.minutes } }.max]
    end
    late = @jobs.sum { |job| job.promised ? [(@calendar.end_date(ends[job.id]) - job.promised).to_i, 0].max : 0 }
    cost = [late, ends.values.max]
    @best = cost if @best.nil? || (cost <=> @best).negative?
  end
end
