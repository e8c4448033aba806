# frozen_string_literal: true

require "test_helper"
require "reckoning/cutting/best_of_all"

# What a maker wants of a plan beyond the rules, held against every plan there is.
class WishesTest < EarnestFoldTest
  include BestOfAll

  def test_what_is_pinned_where_the_best_plan_has_it_changes_nothing
    each_example(31, 60) do |cloth, cuts, plan, seed|
      piece = plan.pieces.find(&:touched?) or next
      pin = pinned(piece, piece.placed.sample(random: Random.new(seed)))
      again = planned(cloth, cuts, pins: [pin], batches: {pin.cut.treatment => piece.batch})
      assert_equal [plan.length_used, plan.uncut_count], [again.length_used, again.uncut_count], "seed #{seed}"
      assert_predicate again, :proved
      assert_valid(again, cloth, cuts, seed)
      assert_includes again.pieces.find { |one| one.id == piece.id }.placed,
        piece.placed.find { |one| one.cut == pin.cut }
    end
  end

  # A pin somewhere along its piece: everything else as if it were a flaw whose cloth is paid for.
  def test_a_pin_costs_what_it_costs_and_no_more
    random = Random.new(32)
    each_example(33, 60) do |cloth, cuts, _, seed|
      piece = cloth.pieces.sample(random: random)
      cut = cuts.sample(random: random)
      from = place(cloth, piece, random.rand(piece.length.mm.to_i), cut)&.then { |ended| mm(ended) - cut.length } or
        next
      wishes = C::Wishes.of(
        pins: [C::Pin.new(piece: piece.id, cut: cut, from: from)],
        batches: {cut.treatment => piece.batch}
      )
      plan = C::Planner.new(cloth, cuts, wishes).plan
      uncut, cost, = best(wishes.left_of(cloth), cuts - [cut], wishes)
      assert_equal [uncut, cost + (from + cut.length).mm], [plan.uncut_count, plan.length_used.mm], "seed #{seed}"
      assert_valid(plan, cloth, cuts, seed, begun: [cut.treatment])
    end
  end

  def test_a_forbidden_piece_is_as_good_as_none
    each_example(34, 60) do |cloth, cuts, _, seed|
      without = cloth.with(pieces: cloth.pieces.drop(1))
      plan = planned(cloth, cuts, forbidden: [cloth.pieces.first.id])
      bare = without.pieces.any? && C::Planner.new(without, cuts).plan
      assert_equal(
        bare ? [bare.uncut_count, bare.length_used] : [cuts.size, mm(0)],
        [plan.uncut_count, plan.length_used],
        "seed #{seed}"
      )
      refute_predicate plan.pieces.first, :touched?
    end
  end

  def test_a_preferred_piece_spares_the_others
    each_example(35, 60) do |cloth, cuts, _, seed|
      wishes = C::Wishes.of(preferred: [cloth.pieces.last.id])
      plan = C::Planner.new(cloth, cuts, wishes).plan
      others = plan.pieces.reject { |piece| piece.id == cloth.pieces.last.id }.sum(mm(0), &:used)
      assert_equal best(cloth, cuts, wishes).first(2), [plan.uncut_count, others.mm], "seed #{seed}"
      assert_valid(plan, cloth, cuts, seed)
    end
  end

  # The search for many cuts keeps to wishes too: its bound lies under the best of all, its plan not.
  def test_wishes_in_the_search_for_many_cuts
    found = 0
    each_example(36, 120) do |cloth, cuts, plan, seed|
      next if plan.uncut.any?

      wishes = C::Wishes.of(preferred: [cloth.pieces.last.id])
      best = C::Planner.new(cloth, cuts, wishes).plan
      task = C::PlanTask.new(cloth, cuts, wishes)
      large = (task.plain? ? C::LargePlan : C::Patterned::Search).new(task, C::LongestFirst.new(task))
      assert_operator task.length(large.bound), :<=, task.cost(best.pieces), "seed #{seed}"
      next unless large.pieces

      found += 1
      assert_operator task.cost(large.pieces), :>=, task.cost(best.pieces), "seed #{seed}"
      assert_valid(C::Plan.new(pieces: large.pieces, uncut: [], proved: false, bound: mm(0)), cloth, cuts, seed)
    end
    assert_operator found, :>, 25
  end

  def test_a_treatment_keeps_to_the_batch_it_is_begun_in
    each_example(37, 60) do |cloth, cuts, _, seed|
      plan = planned(cloth, cuts, batches: {"t0" => "2"})
      plan.pieces.each do |piece|
        assert piece.placed.none? { |placed| placed.cut.treatment == "t0" && piece.batch != "2" }, "seed #{seed}"
      end
      assert_equal best(cloth, cuts, C::Wishes.of(batches: {"t0" => "2"})).first(2),
        [plan.uncut_count, plan.length_used.mm]
    end
  end

  def test_an_end_that_is_square_is_not_squared_again
    cloth = cloth(0, [{"id" => "a", "length" => 100, "squared" => true}, {"id" => "b", "length" => 104}])
    plan = C::Planner.new(cloth, [cut("t", nil, 100, 1)]).plan
    assert_empty plan.uncut
    assert_equal ["a"], plan.pieces.select(&:touched?).map(&:id)
  end

  private

  def each_example(seed, times)
    random = Random.new(seed)
    times.times do |round|
      cloth, cuts = example(random)
      yield cloth, cuts, C::Planner.new(cloth, cuts).plan, round
    end
  end

  def planned(cloth, cuts, **wishes) = C::Planner.new(cloth, cuts, C::Wishes.of(**wishes)).plan

  def pinned(piece, placed) = C::Pin.new(piece: piece.id, cut: placed.cut, from: placed.from)
end
