# frozen_string_literal: true

require "store_test_helper"

# The shelf and the table: nothing is cut twice, nothing is lost, and the lengths add up also when a step dies in the
# middle.
class ShelfTest < StoreTest
  R = EarnestFold::Reckoning
  C = R::Cutting
  LEAST = R::Length.cm(30)

  def setup
    [:papers, :jobs, :cloths].each { |table| workroom.rows(table).delete }
    @cloth = workroom.cloths.create({"name" => "Tide stripe", "use" => "face", "width" => "140 cm"}, colour: "#ffffff")
    @job = workroom.jobs.create(title: "Bar", unit: "cm")
    @piece = receive("A1", "20 m", "batch" => "7", "flaws" => [{"from" => "9 m", "to" => "9.1 m", "what" => "slub"}])
  end

  def test_a_piece_is_received_found_and_measured
    record = workroom.shelf.find(@piece)
    assert_equal ["A1", cm(2000), "7", 0], [record.label, record.piece.left, record.piece.batch, record.version]
    workroom.shelf.update(@piece, record.spec.merge("measured" => "19.9 m"), version: 0)
    assert_equal cm(1990), workroom.shelf.find(@piece).piece.left
    assert_equal %w[measured received], workroom.shelf.history(@piece).map(&:kind)
    assert_raises(S::Stale) { workroom.shelf.update(@piece, record.spec, version: 0) }
  end

  def test_a_name_is_the_only_one
    assert_raises(S::Taken) { receive("A1", "3 m") }
    assert_raises(S::Taken) do
      workroom.shelf.receive_all([[@cloth, "A2", {"delivered" => "1 m"}], [@cloth, "A1", {"delivered" => "1 m"}]])
    end
    assert_equal ["A1"], workroom.shelf.all.map(&:label)
    assert_equal "P1", workroom.shelf.next_label
  end

  def test_another_workrooms_pieces_are_none
    assert_raises(S::Missing) { other_workroom.shelf.find(@piece) }
    assert_empty other_workroom.shelf.all
  end

  def test_what_is_taken_to_the_table_is_kept_for_the_job
    take(line(0, 250), line(250, 500))
    kept = workroom.shelf.find(@piece)
    assert_equal [["Bar", cm(0), cm(500)]], kept.reserved.map { |one| [one.title, one.from, one.to] }
    assert_equal [cm(0), cm(500)], [kept.begins(@job), kept.begins]
    workroom.plans.release(@job, @cloth)
    assert_empty workroom.shelf.find(@piece).reserved
    assert_equal %w[released reserved received], workroom.shelf.history(@piece).map(&:kind)
  end

  def test_a_tick_cuts_once
    take(line(20, 270), line(270, 520))
    first = cuts.first
    assert workroom.plans.tick(table, first.id, least: LEAST)
    refute workroom.plans.tick(table, first.id, least: LEAST)
    assert_equal [[:wasted, 20], [:cut, 250]], life.takings.map { |taking| [taking.kind, (taking.length.mm / 10).to_i] }
    assert_equal cm(1730), workroom.shelf.find(@piece).piece.left
    assert_equal({"t" => 1}, workroom.plans.made(@job).transform_values(&:size))
    assert_adds_up
  end

  def test_an_offcut_becomes_a_piece_with_what_lies_on_it
    take(line(0, 250), line(1000, 1250))
    cuts.each { |cut| workroom.plans.tick(table, cut.id, least: LEAST) }
    offcut = workroom.shelf.all.find { |record| record.label == "A1/1" }
    assert_equal [cm(750), "7", true, [[cm(650), cm(660), "slub"]]],
      [
        offcut.piece.left,
        offcut.piece.batch,
        offcut.piece.squared,
        offcut.piece.flaws.map { |flaw| [flaw.from, flaw.to, flaw.what] }
      ]
    assert_equal [@piece, ["came_off"]], [offcut.parent_id, workroom.shelf.history(offcut.id).map(&:kind)]
    assert_adds_up
  end

  # Who ticks the later cut first doesn't take the earlier one away.
  def test_cuts_ticked_out_of_order_are_all_made
    take(line(0, 250), line(250, 500), line(500, 750))
    cuts.reverse_each { |cut| assert workroom.plans.tick(table, cut.id, least: LEAST) }
    assert_equal [cm(750), cm(0)],
      [
        workroom.shelf.all.sum(cm(0)) { |record| record.piece.life.sum(:cut) },
        workroom.shelf.all.find { |record| record.label == "A1/1" }.piece.left
      ]
    assert_adds_up
  end

  def test_a_tick_by_mistake_is_put_back
    take(line(20, 270), line(270, 520))
    workroom.plans.tick(table, cuts.first.id, least: LEAST)
    assert workroom.plans.put_back(table, cuts.first.id, least: LEAST)
    refute workroom.plans.put_back(table, cuts.first.id, least: LEAST)
    assert_equal [cm(2000), "planned"], [life.left, cuts.first.state]
    assert_equal "put_back", workroom.shelf.history(@piece).first.kind
  end

  def test_what_went_wrong_is_kept_as_it_was
    take(line(0, 250), line(250, 500))
    workroom.plans.wrong(table, cuts.first.id, cm(0), cm(240), least: LEAST, why: "too_short")
    assert_equal [:wrong, cm(240)], life.takings.map { |taking| [taking.kind, taking.length] }.first
    assert_equal %w[wrong planned], cuts.map(&:state)
    assert_equal "too_short", workroom.shelf.history(@piece).first.data["why"]
    assert_adds_up
  end

  def test_a_cut_ticked_first_and_then_found_wrong
    take(line(0, 250), line(250, 500))
    workroom.plans.tick(table, cuts.first.id, least: LEAST)
    workroom.plans.wrong(table, cuts.first.id, cm(0), cm(250), least: LEAST, why: "damaged")
    assert_equal [[:wrong, cm(250)]], life.takings.map { |taking| [taking.kind, taking.length] }
    assert_empty workroom.plans.made(@job)
  end

  def test_a_plan_taken_again_keeps_what_is_cut
    take(line(0, 250), line(250, 500))
    workroom.plans.tick(table, cuts.first.id, least: LEAST)
    take(line(260, 510, number: 2))
    assert_equal [["cut", cm(0)], ["planned", cm(260)]], cuts.map { |cut| [cut.state, cut.from] }
    workroom.plans.put_back(table, cuts.first.id, least: LEAST)
    assert_equal ["planned"], cuts.map(&:state), "the plan that it was made by is gone: the next one places it"
  end

  def test_cloth_that_somebody_took_meanwhile_is_not_promised_twice
    seen = {@piece => workroom.shelf.find(@piece).version}
    other = workroom.jobs.create(title: "Snug", unit: "cm")
    workroom.plans.take(other, @cloth, facts, [line(0, 250)], seen: seen)
    assert_raises(S::Stale) { workroom.plans.take(@job, @cloth, facts, [line(0, 250)], seen: seen) }
    assert_empty cuts
  end

  # A tick put back leaves everything as it was, also the cloth that came off with it.
  def test_putting_back_is_the_exact_inverse
    take(line(0, 250), line(1000, 1250), line(1260, 1400))
    before = lying
    [[1], [2], [1, 2], [2, 1], [1, 0], [0, 1, 2]].each do |order|
      order.each { |index| workroom.plans.tick(table, cuts_in_order[index].id, least: LEAST) }
      assert_adds_up
      order.reverse_each { |index| workroom.plans.put_back(table, cuts_in_order[index].id, least: LEAST) }
      assert_equal before, lying, order.inspect
    end
  end

  # Cloth that one job has set aside is its own still when another's cut takes it off the piece.
  def test_what_is_set_aside_stays_so_when_its_cloth_comes_off
    take(line(0, 250))
    own = workroom.jobs.create(title: "Snug", unit: "cm")
    seen = {@piece => workroom.shelf.find(@piece).version}
    workroom.plans.take(own, @cloth, facts, [line(1000, 1250)], seen: seen)
    workroom.plans.tick([own, @cloth], workroom.plans.of(own).of(@cloth).first.id, least: LEAST)
    offcut = workroom.shelf.all.find { |record| record.label == "A1/1" }
    assert_equal [["Bar", cm(0), cm(250)]], offcut.reserved.map { |one| [one.title, one.from, one.to] }
    assert_equal [cm(0), cm(250)], [offcut.begins(@job), offcut.begins], "a third job begins after it"
    assert workroom.plans.tick(table, cuts.first.id, least: LEAST)
    assert_adds_up
  end

  def test_an_offcuts_name_is_one_that_nobody_uses
    receive("A1/1", "3 m")
    receive("A1/3", "3 m")
    take(line(500, 750), line(1500, 1750))
    cuts.each { |cut| workroom.plans.tick(table, cut.id, least: LEAST) }
    assert_equal %w[A1 A1/1 A1/2 A1/3 A1/4], workroom.shelf.all.map(&:label).sort
  end

  # An offcut that somebody measured isn't taken for one that never came off.
  def test_an_offcut_that_was_touched_stays
    take(line(500, 750))
    workroom.plans.tick(table, cuts.first.id, least: LEAST)
    offcut = workroom.shelf.all.find { |record| record.label == "A1/1" }
    workroom.shelf.update(offcut.id, offcut.spec.merge("measured" => "499 cm"), version: offcut.version)
    workroom.plans.put_back(table, cuts.first.id, least: LEAST)
    assert_equal cm(499), workroom.shelf.find(offcut.id).piece.left
  end

  # Whatever several jobs do at one piece, in any order: lengths add up, and no cloth is promised or cut twice.
  def test_no_order_of_steps_promises_cloth_twice
    random = Random.new(11)
    jobs = [@job, *%w[Snug Porch].map { |title| workroom.jobs.create(title: title, unit: "cm") }]
    8.times do
      jobs.each { |job| plan_anything(job, random) }
      12.times { step_anywhere(jobs.sample(random: random), random) }
      assert_adds_up
      assert_nothing_promised_twice(jobs)
    end
  end

  # Each step dies after each of its writes in turn: all of it is done, or nothing.
  def test_a_step_that_dies_in_the_middle_leaves_everything_as_it_was
    take(line(40, 290), line(600, 850))
    workroom.plans.tick(table, cuts.first.id, least: LEAST)
    before = state
    {
      tick: -> { workroom.plans.tick(table, cuts.last.id, least: LEAST) },
      wrong: -> { workroom.plans.wrong(table, cuts.first.id, cm(40), cm(280), least: LEAST, why: "damaged") },
      put_back: -> { workroom.plans.put_back(table, cuts.first.id, least: LEAST) },
      take: -> { take(line(0, 250)) },
      release: -> { workroom.plans.release(@job, @cloth) }
    }.each do |name, step|
      writes = 0
      writes += 1 while dies_after(writes, before, name, &step)
      assert_operator writes, :>, 2, name
    end
    assert_adds_up
  end

  def test_a_documents_pieces_go_on_the_shelf_once
    pieces = [{"id" => "A1", "length" => "20 m"}, {"id" => "B9", "length" => "4 m", "squared" => true}]
    workroom.shelf.bring_in(@cloth, pieces)
    other = workroom.cloths.create({"name" => "Other", "use" => "face", "width" => "140 cm"}, colour: "#ffffff")
    workroom.shelf.bring_in(other, pieces.first(1))
    assert_equal ["A1", "A1 (2)", "B9"], workroom.shelf.all.map(&:label).sort
  end

  def test_what_is_used_up_is_off_the_shelf_and_can_come_back
    workroom.shelf.use_up(@piece, true)
    assert_empty workroom.shelf.all
    assert_equal 1, workroom.shelf.all(used_up: true).size
    workroom.shelf.use_up(@piece, false)
    assert_equal 1, workroom.shelf.all.size
  end

  def test_queries_do_not_grow_with_the_pieces
    few = queries { workroom.shelf.all }
    9.times { |index| receive("X#{index}", "3 m") }
    assert_equal few, queries { workroom.shelf.all }
  end

  private

  def table = [@job, @cloth]

  def cm(number) = R::Length.cm(number)

  def receive(label, length, **more) =
    workroom.shelf.receive(@cloth, label, {"delivered" => length}.merge(more.transform_keys(&:to_s)))

  def line(from, to, number: nil)
    @number = number || (@number || 0) + 1
    cut = C::Cut.new(treatment: "t", curtain: "left", number: @number, phase: nil, start: nil, length: cm(to - from))
    S::Plans::PlannedCut.new(piece_id: @piece, datum: cm(0), from: cm(from), to: cm(to), cut: cut)
  end

  def facts = {proved: true, used: cm(500), bound: cm(500)}

  def take(*lines) =
    workroom.plans.take(@job, @cloth, facts, lines, seen: {@piece => workroom.shelf.find(@piece).version})

  def cuts_in_order = cuts.sort_by { |cut| cut.cut.number }

  # What lies where, whatever it is called by.
  def lying
    pieces = workroom.shelf.all(used_up: true).map do |record|
      takings = record.piece.life.takings.map { |taking| [taking.kind, taking.from, taking.to] }
      [record.label, record.piece.left, takings]
    end
    [pieces.sort, cuts_in_order.map { |cut| [cut.label, cut.begins, cut.ends, cut.state] }]
  end

  # Cuts for a job, end to end, on what is left of some piece after what others have set aside.
  def plan_anything(job, random)
    record = workroom.shelf.all.select { |one| one.piece.length - one.begins(job) > cm(400) }.sample(random: random)
    return unless record

    datum, at = record.begins(job), cm(0)
    lines = Array.new(random.rand(1..3)) do
      from = at + cm(random.rand(0..60))
      at = from + cm(random.rand(40..110))
      line((from.mm / 10).to_i, (at.mm / 10).to_i).with(piece_id: record.id, datum: datum)
    end
    lines.pop while lines.any? && datum + lines.last.to > record.piece.length
    seen = {record.id => record.version}
    workroom.plans.take(job, @cloth, facts, lines, seen: seen) if lines.any?
  end

  def step_anywhere(job, random)
    place = [job, @cloth]
    done, planned = workroom.plans.of(job).of(@cloth).reject { |cut| cut.state == "wrong" }.partition(&:done?)
    cut = ((random.rand(3) == 0) ? done : planned).sample(random: random) or return
    return workroom.plans.put_back(place, cut.id, least: LEAST) if cut.done?
    return workroom.plans.tick(place, cut.id, least: LEAST) unless random.rand(8) == 0

    workroom.plans.wrong(place, cut.id, cut.from, cut.to, least: LEAST, why: "slipped")
  end

  def assert_nothing_promised_twice(jobs)
    stretches = jobs.flat_map { |job| workroom.plans.of(job).of(@cloth).reject(&:done?) }.group_by(&:piece_id)
    stretches.each do |piece, planned|
      life = workroom.shelf.find(piece).piece.life
      taken = life.takings.reject { |taking| taking.kind == :wasted }.map { |taking| [taking.from, taking.to] }
      all = (planned.map { |cut| [cut.begins, cut.ends] } + taken).sort
      all.each_cons(2) { |one, other| assert_operator one.last, :<=, other.first, "piece #{piece}: #{all}" }
    end
  end

  def cuts = workroom.plans.of(@job).of(@cloth)

  def life = workroom.shelf.find(@piece).piece.life

  def state = [:pieces, :takings, :plans, :plan_cuts, :piece_events].map { |table| workroom.rows(table).order(:id).all }

  # Lets so many writes through and then fails, as a line that goes down.
  class Dying
    WRITE = /\A(\(\S+\) )?(INSERT|UPDATE|DELETE) /

    def initialize(after) = @left = after

    def info(message) = (message.match?(WRITE) && (@left -= 1) < 0) ? raise("died") : nil

    %i[debug warn error].each { |level| define_method(level) { |_| nil } }
  end

  # Does the step and undoes it; where it dies, looks at what it left behind first.
  # @return [Boolean] whether it died
  def dies_after(writes, before, name, &step)
    dying, died = Dying.new(writes), false
    S.db.transaction(savepoint: true, auto_savepoint: true, rollback: :always) do
      S.db.loggers << dying
      step.call
    rescue RuntimeError, Sequel::Error => error
      raise unless error.message.include?("died")

      died = true
      assert_equal before, state, "#{name}, after #{writes} writes"
    ensure
      S.db.loggers.delete(dying)
    end
    died
  end

  # Every piece's takings lie end to end, and what it was is what it became.
  def assert_adds_up
    workroom.shelf.all(used_up: true).each do |record|
      assert_predicate record.piece.life, :whole?
      assert_equal record.piece.length, record.piece.life.sums.values.sum(cm(0))
      record
        .piece
        .life
        .takings
        .select { |taking| taking.kind == :offcut }
        .each { |taking| assert_equal taking.length, workroom.shelf.find(taking.key[:offcut_id]).piece.length }
    end
  end
end
