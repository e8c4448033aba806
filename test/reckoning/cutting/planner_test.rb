# frozen_string_literal: true

require "test_helper"
require "reckoning/cutting/best_of_all"

# Plans on the pieces there are: valid always, and as good as the best of all where they say so.
class PlannerTest < EarnestFoldTest
  include BestOfAll

  def test_small_plans_are_valid_and_the_best_of_all
    random = Random.new(21)
    examples = Array.new(600) { |seed| [*example(random), seed] }
    Walks.some(examples, 150).each do |cloth, cuts, seed|
      plan = C::Planner.new(cloth, cuts).plan
      assert_predicate plan, :proved
      assert_valid(plan, cloth, cuts, seed)
      assert_equal best(cloth, cuts),
        [plan.uncut_count, plan.length_used.mm, plan.pieces.count(&:touched?)],
        "seed #{seed}"
    end
  end

  def test_a_large_plain_case_is_proved
    cloth, cuts = large(0, 60)
    plan = C::Planner.new(cloth, cuts).plan
    assert_predicate plan, :proved
    assert_valid(plan, cloth, cuts, "large and plain")
    assert_operator plan.length_used, :<, thumb(cloth, cuts)
  end

  def test_a_plain_job_of_300_cuts_is_proved
    cloth, cuts = large(0, 300, pieces: 20)
    plan = C::Planner.new(cloth, cuts).plan
    assert_predicate plan, :proved
    assert_valid(plan, cloth, cuts, "300 cuts")
  end

  # Some run sideways, some in phase: no search plans those together yet.
  def test_where_only_the_rule_of_thumb_plans_it_says_so
    cloth, cuts = large(640, 60)
    cuts = cuts.map { |one| (one.treatment == "t0") ? one.with(start: nil) : one }
    plan = C::Planner.new(cloth, cuts).plan
    refute_predicate plan, :proved
    assert_operator plan.bound, :<, plan.length_used
    assert_valid(plan, cloth, cuts, "mixed")
  end

  # The search for many cuts, tried on few, beside the search that weighs every way: its bound is never above the best
  # there is, and its plan never below it.
  def test_the_bound_of_the_search_never_lies
    random = Random.new(77)
    found = 0
    150.times do |seed|
      cloth, cuts = example(random)
      best = C::Planner.new(cloth, cuts).plan
      next if best.uncut.any?

      task = C::PlanTask.new(cloth, cuts)
      large = (task.plain? ? C::LargePlan : C::Patterned::Search).new(task, C::LongestFirst.new(task))
      assert_operator task.length(large.bound), :<=, best.length_used, "seed #{seed}"
      next unless large.pieces

      found += 1
      assert_operator large.pieces.sum(mm(0), &:used), :>=, best.length_used, "seed #{seed}"
      assert_valid(C::Plan.new(pieces: large.pieces, uncut: [], proved: false, bound: mm(0)), cloth, cuts, seed)
    end
    assert_operator found, :>, 40
  end

  private

  # Twelve kinds of cut in even numbers, on pieces with ten flaws.
  def large(repeat, count, pieces: 6, stock: 27/20r)
    random = Random.new(4)
    kinds = Array.new(12) { [repeat.zero? ? nil : random.rand(repeat), 1500 + random.rand(1500)] }
    cuts =
      Array.new(count) do |index|
        kinds[index % 12].then { |start, length| cut("t#{index % 12}", start, length, index) }
      end
    each = (cuts.sum { |one| one.length.mm } * stock / pieces).to_i
    flaws = Array.new(10) { [random.rand(pieces), random.rand(each - 200)] }.group_by(&:first)
    [cloth(repeat, Array.new(pieces) { |index|
      {
        "id" => "p#{index}",
        "length" => each,
        "pattern_start" => random.rand([repeat, 1].max),
        "flaws" => flaws.fetch(index, []).map { |_, from| {"from" => from, "to" => from + 40} }
      }
    }), cuts]
  end

  def thumb(cloth, cuts) = C::LongestFirst.new(C::PlanTask.new(cloth, cuts)).pieces.sum(mm(0), &:used)
end
