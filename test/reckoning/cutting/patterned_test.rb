# frozen_string_literal: true

require "test_helper"
require "reckoning/cutting/best_of_all"

# The search for many cuts of patterned cloth, tried on few beside every plan there is, and on many by what it promises.
class PatternedTest < EarnestFoldTest
  include BestOfAll

  def test_few_cuts_are_planned_as_well_as_the_best_of_all
    short = 0
    each_patterned(51, 300) do |cloth, cuts, seed|
      search = searched(C::PlanTask.new(cloth, cuts))
      assert_predicate search, :proved?, "seed #{seed}"
      assert_equal best(cloth, cuts), told(search, cuts), "seed #{seed}"
      assert_valid(plan_of(search, cuts), cloth, cuts, seed)
      short += 1 if told(search, cuts).first.positive?
    end
    assert_operator short, :>, Walks::WHOLE ? 20 : 0
  end

  def test_wishes_are_kept
    each_patterned(52, 120) do |cloth, cuts, seed|
      wishes = C::Wishes.of(preferred: [cloth.pieces.last.id], batches: {"t0" => cloth.pieces.first.batch})
      task = C::PlanTask.new(cloth, cuts, wishes)
      search = searched(task)
      assert_predicate search, :proved?, "seed #{seed}"
      uncut, used, = told(search, cuts)
      assert_equal best(cloth, cuts, wishes).first(2), [uncut, used && task.cost(search.pieces).mm], "seed #{seed}"
    end
  end

  # With little work a plan may be missing or not the best, but what is said of it holds.
  def test_where_the_work_is_over_nothing_untrue_is_said
    unproved = 0
    each_patterned(53, 120) do |cloth, cuts, seed|
      search = searched(C::PlanTask.new(cloth, cuts), work: 10 + seed * 20)
      exact = best(cloth, cuts)
      assert_equal exact, told(search, cuts), "seed #{seed}" if search.proved?
      next if search.proved?

      unproved += 1
      assert_operator search.bound, :<=, exact[1], "seed #{seed}" if exact.first.zero?
      next unless search.pieces

      assert_operator (told(search, cuts) <=> exact), :>=, 0, "seed #{seed}"
      assert_valid(plan_of(search, cuts), cloth, cuts, seed)
    end
    assert_operator unproved, :>, Walks::WHOLE ? 20 : 0
  end

  # Twelve kinds, 60 cuts, six pieces with ten flaws: level at the hem in both phases of a half-drop, all on repeat
  # lines, anyhow.
  def test_a_large_job_is_proved
    {hem: 4, line: 12, anyhow: 6}.each do |placing, seed|
      cloth, cuts = large(placing, seed)
      plan = C::Planner.new(cloth, cuts).plan
      assert_predicate plan, :proved, placing
      assert_equal plan.bound, plan.length_used
      assert_valid(plan, cloth, cuts, placing)
      assert_operator plan.length_used, :<, C::LongestFirst.new(C::PlanTask.new(cloth, cuts)).pieces.sum(mm(0), &:used)
    end
  end

  # The same bolts, half as long: the rule of thumb leaves more uncut.
  def test_where_the_stock_is_short_as_little_as_can_be_is_left_uncut
    cloth, cuts = large(:anyhow, 1)
    cloth = cloth.with(pieces: cloth.pieces.map { |piece| piece.with(length: piece.length / 2, flaws: []) })
    plan = C::Planner.new(cloth, cuts).plan
    thumb = C::LongestFirst.new(C::PlanTask.new(cloth, cuts)).pieces.sum { |piece| piece.placed.size }
    assert_operator plan.uncut_count, :<, cuts.size - thumb
    assert_operator plan.uncut_count, :>, 0
    assert_valid(plan, cloth, cuts, "short")
  end

  # Treatments are shared out between two dye lots: rarely proved in time, but never worse than the rule of thumb.
  def test_two_batches_in_a_large_job
    cloth, cuts = large(:hem, 2)
    cloth = cloth.with(
      pieces: cloth.pieces.each_with_index.map { |piece, index| piece.with(batch: "lot #{index % 2}") }
    )
    search = searched(C::PlanTask.new(cloth, cuts), work: 2_500_000)
    plan = plan_of(search, cuts)
    assert_empty plan.uncut
    assert_valid(plan, cloth, cuts, "two lots")
    assert_operator search.bound, :<=, plan.length_used.mm
    assert_operator plan.length_used.mm, :<, search.bound * 105 / 100
  end

  def test_the_same_cuts_always_lead_to_the_same_plan
    task = C::PlanTask.new(*large(:line, 3))
    assert_equal(*Array.new(2) { searched(task, work: 300_000).then { |search| [search.pieces, search.bound] } })
  end

  private

  def searched(task, **work) = C::Patterned::Search.new(task, C::LongestFirst.new(task), **work)

  def each_patterned(seed, times)
    random = Random.new(seed)
    examples = Array.new(times) { |round| [*example(random), round] }
    Walks.some(examples.reject { |cloth,| cloth.vertical_repeat.mm.zero? }, times / 4).each { |one| yield(*one) }
  end

  # @return [Array] cuts left uncut, cloth used, pieces used
  def told(search, cuts)
    [
      cuts.size - search.pieces.sum { |piece| piece.placed.size },
      search.pieces.sum(mm(0), &:used).mm,
      search.pieces.count(&:touched?)
    ]
  end

  def plan_of(search, cuts)
    served = search.pieces.flat_map { |piece| piece.placed.map { |placed| placed.cut.treatment } }
    uncut =
      cuts
        .map(&:treatment)
        .reject { |id| served.include?(id) }
        .tally
        .map { |id, count| C::Uncut.new(treatment: id, count: count, length: mm(0), to_buy: mm(0)) }
    C::Plan.new(pieces: search.pieces, uncut: uncut, proved: search.proved?, bound: mm(0))
  end

  def large(placing, seed)
    random = Random.new(seed)
    kinds = kinds(placing, random)
    cuts = Array.new(60) { |index| cut("t#{index % 12}", *kinds[index % 12], index) }
    each = (cuts.sum { |one| one.length.mm } * 27 / 20 / 6).to_i
    flaws = Array.new(10) { [random.rand(6), random.rand(each - 200)] }.group_by(&:first)
    [cloth(640, Array.new(6) { |index|
      {
        "id" => "p#{index}",
        "length" => each,
        "pattern_start" => random.rand(640),
        "flaws" => flaws.fetch(index, []).map { |_, from| {"from" => from, "to" => from + 40} }
      }
    }), cuts]
  end

  def kinds(placing, random)
    unless placing == :hem
      return Array.new(12) { [(placing == :line) ? 0 : random.rand(640), 1500 + random.rand(1500)] }
    end

    Array
      .new(6) { 1500 + random.rand(1500) }
      .flat_map { |length| [[(100 - length) % 640, length], [(420 - length) % 640, length]] }
  end
end
