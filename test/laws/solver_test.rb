# frozen_string_literal: true

require "test_helper"
require "laws/stretches_model"

# Middling cases held against an exact solver: what the planner proves, the solver finds too.
class SolverTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  C = R::Cutting
  ENDLESS = 1e30

  def test_patterned_cloth
    held_against_the_solver(12, 31) { |task| along_places(task) }
  end

  def test_plain_cloth
    held_against_the_solver(12, 32, repeat: 0) { |task| StretchesModel.new(task).least }
  end

  private

  # @yieldreturn [Integer] what the solver needs at least
  def held_against_the_solver(times, seed, repeat: 320)
    random = Random.new(seed)
    proved = 0
    times.times do |round|
      cloth, cuts = example(random, repeat)
      plan = C::Planner.new(cloth, cuts).plan
      next if plan.uncut.any?

      task = C::PlanTask.new(cloth, cuts)
      least = task.length(yield(task))
      assert_operator plan.bound, :<=, least, "round #{round}"
      assert_operator plan.length_used, :>=, least, "round #{round}"
      assert_equal least, plan.length_used, "round #{round}" if plan.proved
      proved += 1 if plan.proved
    end
    assert_operator proved, :>, times / 2
  end

  def example(random, repeat)
    kinds = Array.new(4) { [repeat.zero? ? nil : random.rand(repeat), 700 + random.rand(900)] }
    cuts = Array.new(10 + random.rand(5)) { |index| kinds[index % 4].then { |start, length| cut("t#{index % 4}", start, length, index) } }
    pieces = Array.new(3) { |index| piece(random, index, cuts.sum { |one| one.length.mm.to_i } / 2) }
    problems = R::Problems.new
    raw = {"id" => "c", "use" => "face", "width" => 1400, "vertical_repeat" => repeat, "square_off" => 20, "pieces" => pieces}
    [R::Cloth.build(R::Cloth::FIELDS.read(raw, R::Units::MM, problems), problems), cuts]
  end

  def piece(random, index, length)
    flaw = random.rand(length - 100)
    {"id" => "p#{index}", "length" => length, "pattern_start" => random.rand(300), "flaws" => index.zero? ? [] : [{"from" => flaw, "to" => flaw + 30}]}
  end

  def cut(treatment, start, length, number)
    C::Cut.new(treatment: treatment, curtain: "left", number: number, phase: nil, start: start && R::Length.mm(start), length: R::Length.mm(length))
  end

  # A path along the places of each piece: wait, or cut and go on from the end; each kind as often as it is wanted.
  def along_places(task)
    model = WholeNumbers.new
    wanted = task.kinds.each_index.to_h { |kind| [kind, model.row(task.counts(task.treatments.keys)[kind], task.counts(task.treatments.keys)[kind])] }
    task.batches.flatten.each do |piece|
      places = C::Patterned::Places.new(task.fill(piece), task.kinds)
      rows = Array.new(places.size + 1) { model.row(0, 0) }
      model.column(0, 1, {rows.first => -1})
      places.size.times do |place|
        kind, on = wanted[places.kinds[place]], places.following[place]
        model.column(0, 1, {rows[place] => 1, rows[place + 1] => -1})
        model.column(0, 1, {rows[place] => 1, rows[on] => -1, kind => 1}) if on < places.size
        model.column(places.ends[place], 1, {rows[place] => 1, kind => 1})
      end
    end
    model.least
  end
end
