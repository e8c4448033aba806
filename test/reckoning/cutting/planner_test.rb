# frozen_string_literal: true

require "test_helper"

# Plans on the pieces there are: valid always, and as good as the best of all where they say so.
class PlannerTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  C = R::Cutting

  def test_small_plans_are_valid_and_the_best_of_all
    random = Random.new(21)
    250.times do |seed|
      cloth, cuts = example(random)
      plan = C::Planner.new(cloth, cuts).plan
      assert_predicate plan, :proved
      assert_valid(plan, cloth, cuts, seed)
      assert_equal best(cloth, cuts), [plan.uncut_count, plan.length_used.mm, plan.pieces.count(&:touched?)], "seed #{seed}"
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

  # The proof isn't promised here, but the bound and the gap are.
  def test_a_large_patterned_case_says_how_near_it_comes
    cloth, cuts = large(640, 60)
    plan = C::Planner.new(cloth, cuts).plan
    assert_valid(plan, cloth, cuts, "large and patterned")
    assert_operator plan.bound, :<=, plan.length_used
    assert_operator plan.length_used, :<, thumb(cloth, cuts)
    assert_operator plan.length_used.mm, :<, plan.bound.mm * 102 / 100
    assert_equal plan.length_used <= plan.bound, plan.proved
  end

  def test_where_the_stock_is_short_the_rule_of_thumb_still_plans_and_says_so
    cloth, cuts = large(640, 60, stock: 1/2r)
    plan = C::Planner.new(cloth, cuts).plan
    refute_predicate plan, :proved
    assert_operator plan.uncut_count, :>, 0
    assert_valid(plan, cloth, cuts, "short")
  end

  # The search for many cuts, tried on few, beside the search that weighs every way: its bound is never above the best there
  # is, and its plan never below it.
  def test_the_bound_of_the_search_never_lies
    random = Random.new(77)
    found = 0
    150.times do |seed|
      cloth, cuts = example(random)
      best = C::Planner.new(cloth, cuts).plan
      next if best.uncut.any?

      task = C::PlanTask.new(cloth, cuts)
      large = C::LargePlan.new(task, C::LongestFirst.new(task))
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
    cuts = Array.new(count) { |index| kinds[index % 12].then { |start, length| cut("t#{index % 12}", start, length, index) } }
    each = (cuts.sum { |one| one.length.mm } * stock / pieces).to_i
    flaws = Array.new(10) { [random.rand(pieces), random.rand(each - 200)] }.group_by(&:first)
    [cloth(repeat, Array.new(pieces) { |index|
      {"id" => "p#{index}", "length" => each, "pattern_start" => random.rand([repeat, 1].max), "flaws" => flaws.fetch(index, []).map { |_, from| {"from" => from, "to" => from + 40} }}
    }), cuts]
  end

  def thumb(cloth, cuts) = C::LongestFirst.new(C::PlanTask.new(cloth, cuts)).pieces.sum(mm(0), &:used)

  def mm(number) = R::Length.mm(number)

  def cut(treatment, start, length, number) = C::Cut.new(treatment: treatment, curtain: "left", number: number, phase: nil, start: start && mm(start), length: mm(length))

  def cloth(repeat, pieces)
    problems = R::Problems.new
    raw = {"id" => "c", "use" => "face", "width" => 1400, "vertical_repeat" => repeat, "square_off" => 5, "pieces" => pieces}
    R::Cloth.build(R::Cloth::FIELDS.read(raw, R::Units::MM, problems), problems).tap { assert_empty problems.to_a }
  end

  def example(random)
    repeat = [0, 50, 80].sample(random: random)
    pieces = Array.new(1 + random.rand(3)) { |index| piece(random, index) }
    kinds = Array.new(2) { [repeat.zero? ? nil : random.rand(repeat), 60 + random.rand(80)] }
    cuts = Array.new(1 + random.rand(4)) { |index| kinds.sample(random: random).then { |start, length| cut("t#{random.rand(2)}", start, length, index) } }
    [cloth(repeat, pieces), cuts]
  end

  def piece(random, index)
    length = 150 + random.rand(300)
    flaw = random.rand(length - 20)
    {"id" => "p#{index}", "length" => length, "batch" => %w[1 2].sample(random: random), "pattern_start" => random.rand(60),
     "flaws" => (random.rand < 0.5) ? [{"from" => flaw, "to" => flaw + random.rand(15)}] : []}
  end

  # Tries every order of every set of treatments on every sharing out over the pieces.
  def best(cloth, cuts)
    treatments = cuts.group_by(&:treatment)
    sets = treatments.keys.map { |id| [nil, *cloth.pieces.map(&:batch).uniq].map { |batch| [id, batch] } }
    sets.first.product(*sets.drop(1)).filter_map { |choice|
      served = choice.reject { |_, batch| batch.nil? }
      used = served.group_by(&:last).map { |batch, ids| least(cloth, batch, ids.flat_map { |id, _| treatments[id] }) }
      [cuts.size - served.sum { |id, _| treatments[id].size }, used.sum(&:first), used.sum(&:last)] unless used.include?(nil)
    }.min
  end

  def least(cloth, batch, cuts)
    pieces = cloth.pieces.select { |piece| piece.batch == batch }
    cuts.permutation.flat_map { |order| fill(cloth, pieces.map { |piece| [piece, 0] }, order) }.min
  end

  def fill(cloth, ends, order)
    return [[ends.sum(&:last), ends.count { |_, at| at.positive? }]] if order.empty?

    ends.each_index.flat_map do |index|
      piece, at = ends[index]
      at = place(cloth, piece, at, order.first) or next []
      fill(cloth, ends.dup.tap { |copy| copy[index] = [piece, at] }, order.drop(1))
    end
  end

  # Steps along the piece, millimetre by millimetre, to the first place that will do.
  def place(cloth, piece, at, cut)
    ([at, 5].max.to_i..(piece.length.mm - cut.length.mm).to_i).each do |from|
      next if cut.start && (from - piece.pattern_start.mm - cut.start.mm) % cloth.vertical_repeat.mm != 0
      next if piece.flaws.any? { |flaw| from < flaw.to.mm && from + cut.length.mm > flaw.from.mm }

      return from + cut.length.mm
    end
    nil
  end

  def assert_valid(plan, cloth, cuts, seed)
    plan.pieces.each { |made| assert_piece(made, cloth.pieces.find { |piece| piece.id == made.id }, cloth, seed) }
    placed = plan.pieces.flat_map { |piece| piece.placed.map { |one| [one.cut, piece.batch] } }
    assert_equal cuts.size, placed.size + plan.uncut_count
    assert_equal placed.map(&:first).uniq.size, placed.size
    assert placed.group_by { |cut, _| cut.treatment }.values.all? { |same| same.map(&:last).uniq.size == 1 }, "seed #{seed}: one batch"
    assert_empty placed.map { |cut, _| cut.treatment }.uniq & plan.uncut.map(&:treatment)
  end

  def assert_piece(made, piece, cloth, seed)
    made.placed.each do |placed|
      assert placed.from >= cloth.square_off && placed.to <= piece.length, "seed #{seed}: inside"
      assert_equal placed.cut.length, placed.to - placed.from
      assert piece.flaws.none? { |flaw| placed.from < flaw.to && placed.to > flaw.from }, "seed #{seed}: clear"
      assert_equal R::Length::ZERO, (placed.from - piece.pattern_start - placed.cut.start) % cloth.vertical_repeat, "seed #{seed}: in phase" if placed.cut.start
    end
    made.placed.each_cons(2) { |one, two| assert_operator two.from, :>=, one.to }
  end
end
