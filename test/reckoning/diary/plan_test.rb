# frozen_string_literal: true

require "test_helper"
require "reckoning/diary/exact_diary"

# The diary: no bench doubly taken, nobody in two places, nothing before what it needs or waits for, the same from the
# same jobs, and on small cases as early as any diary can be.
class DiaryPlanTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  D = R::Diary
  MONDAY = Date.new(2026, 3, 2)
  BENCHES = %i[table press machine hands].freeze

  def test_the_calendar_knows_nights_and_weekends
    calendar = D::WorkingDays.new(Date.new(2026, 3, 7), rules(day_minutes: 100))
    assert_equal Date.new(2026, 3, 9), calendar.first
    assert_equal [Date.new(2026, 3, 9), Date.new(2026, 3, 10), Date.new(2026, 3, 16)],
      [0, 100, 500].map { |minute| calendar.date(minute) }
    assert_equal [Date.new(2026, 3, 9), Date.new(2026, 3, 13)], [100, 500].map { |minute| calendar.end_date(minute) }
    days = [9, 10, 14, 15, 16].map { |day| Date.new(2026, 3, day) }
    assert_equal [0, 100, 500, 500, 500], days.map { |date| calendar.minute(date) }
  end

  def test_days_and_minutes_belong_together
    [[1, 2, 3, 4, 5], [2, 4], [1, 2, 3, 4, 5, 6, 7], [6]].each do |weekdays|
      calendar = D::WorkingDays.new(MONDAY, rules(day_minutes: 60, weekdays: weekdays))
      60.times do |number|
        assert_equal number * 60, calendar.minute(calendar.date(number * 60)), weekdays
        assert calendar.works?(calendar.date(number * 60 + 59))
      end
    end
  end

  def test_a_chain_is_laid_without_a_gap_where_nothing_holds_it
    plan = plan([job("a", chain("a", [:table, 60], [:machine, 30], [:press, 20]))])
    assert_equal [[0, 60], [60, 90], [90, 110]], plan.placed.map { |one| [one.from, one.to] }
    assert_equal MONDAY, plan.ready("a")
  end

  def test_one_person_is_in_one_place
    plan = plan([job("a", chain("a", [:table, 60])), job("b", chain("b", [:machine, 60]))], people: 1)
    assert_equal [[0, 60], [60, 120]], plan.placed.map { |one| [one.from, one.to] }
    assert_equal :people, plan.placed.last.held
    assert_equal 60, plan([job("a", chain("a", [:table, 60])), job("b", chain("b", [:machine, 60]))], people: 2).ends
  end

  def test_work_waits_for_cloth_and_folds_for_days
    late = task("a1", :table, 30).with(not_before: MONDAY + 2, waits_for: :cloth)
    hung = task("a2", :away, 30, needs: ["a1"]).with(days_after: 2)
    made = plan([job("a", [late, hung])])
    assert_equal [[MONDAY + 2, :cloth], [MONDAY + 4, :waiting]],
      made.placed.map { |one| [made.calendar.date(one.from), one.held] }
  end

  def test_a_promise_that_cannot_be_kept_names_its_step
    held = task("a1", :table, 60).with(not_before: MONDAY + 3, waits_for: :cloth)
    made = plan(
      [
        job("a", [held, task("a2", :machine, 20, needs: ["a1"])], promised: MONDAY + 1),
        job("b", chain("b", [:table, 30]), promised: MONDAY)
      ]
    )
    late = made.late
    assert_equal [["a", MONDAY + 3, "a1"]], late.map { |one| [one.job, one.ready, one.endangered_by.task.key] }
    assert_equal :cloth, late.first.endangered_by.held
  end

  def test_a_step_moved_by_hand_takes_the_rest_along
    tasks = chain("a", [:table, 60], [:machine, 30])
    moved = [tasks.first.with(not_before: MONDAY + 1, at_minute: 15, waits_for: :moved), tasks.last]
    made = plan([job("a", moved)])
    assert_equal [[465, 525], [525, 555]], made.placed.map { |one| [one.from, one.to] }
    assert_equal [0, 525], [made.earliest("a0"), made.earliest("a1")]
  end

  def test_a_circle_of_needs_is_a_fault
    assert_raises(ArgumentError) do
      plan([job("a", [task("x", :table, 5, needs: ["y"]), task("y", :table, 5, needs: ["x"])])])
    end
    assert_raises(ArgumentError) { plan([job("a", [task("x", :table, 5, needs: ["nowhere"])])]) }
  end

  def test_laws_on_any_diary
    60.times do |seed|
      random = Random.new(seed)
      given = rules(
        day_minutes: [120, 450].sample(random: random),
        people: random.rand(1..3),
        tables: random.rand(1..2)
      )
      jobs = Array.new(random.rand(1..8)) { |number| random_job(random, number, random.rand(1..6)) }
      made = D::Plan.new(jobs, given, MONDAY)
      assert_lawful(made, jobs, given)
      assert_equal made.placed, D::Plan.new(jobs, given, MONDAY).placed
    end
  end

  def test_small_diaries_are_as_early_as_any_can_be
    Walks.some(40.times, 12).each do |seed|
      random = Random.new(seed)
      given = rules(day_minutes: 4, people: random.rand(1..2), tables: random.rand(1..2))
      jobs =
        Array.new(random.rand(1..3)) do |number|
          random_job(random, number, (number.zero? ? 1..2 : 1..1).to_a.sample(random: random), most: 3, days: 2)
        end
      made = D::Plan.new(jobs, given, MONDAY)
      exact = ExactDiary.new(jobs, made.calendar, given, 16).best
      assert_equal exact, [made.days_late, made.ends], "seed #{seed}"
    end
  end

  private

  def rules(**changes) = D::USUAL.with(**changes)

  def plan(jobs, **changes) = D::Plan.new(jobs, rules(**changes), MONDAY)

  def job(id, tasks, promised: nil) = D::JobOfDiary.new(id: id, promised: promised, tasks: tasks)

  def task(key, bench, minutes, needs: []) =
    D::Task.new(
      key: key,
      work: key[0],
      code: key,
      bench: bench,
      minutes: minutes,
      needs: needs,
      days_after: 0,
      not_before: nil,
      at_minute: 0,
      waits_for: nil
    )

  def chain(name, *steps) =
    steps.each_with_index.map do |(bench, minutes), index|
      task("#{name}#{index}", bench, minutes, needs: index.zero? ? [] : ["#{name}#{index - 1}"])
    end

  def random_job(random, number, count, most: 200, days: 6)
    tasks =
      chain("j#{number}-", *Array.new(count) { [BENCHES.sample(random: random), random.rand(1..most)] }).map do |one|
        waits = random.rand(4).zero?
        one.with(
          days_after: random.rand(5).zero? ? random.rand(1..2) : 0,
          not_before: waits ? MONDAY + random.rand(days) : nil,
          waits_for: waits ? :cloth : nil
        )
      end
    job("j#{number}", tasks, promised: random.rand(2).zero? ? MONDAY + random.rand(days + 1) : nil)
  end

  def assert_lawful(made, jobs, given)
    ends = made.placed.to_h { |one| [one.task.key, one.to] }
    assert_equal jobs.sum { |one| one.tasks.size }, made.placed.size
    made.placed.each do |one|
      done = one.task.needs.map { |key| ends.fetch(key) }.max || 0
      assert_operator one.from, :>=, done
      assert_operator one.from, :>=, made.calendar.minute(one.task.not_before) if one.task.not_before
      if done.positive?
        assert_operator made.calendar.date(one.from), :>=, made.calendar.end_date(done) + one.task.days_after
      end
      assert_operator made.placed.count { |other| other.from <= one.from && other.to > one.from }, :<=, given.people
      at_bench = made.placed.count do |other|
        other.task.bench == one.task.bench && other.from <= one.from && other.to > one.from
      end
      assert_operator at_bench, :<=, given.count(one.task.bench)
    end
  end
end
