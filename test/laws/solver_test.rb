# frozen_string_literal: true

require "test_helper"
require "laws/places_model"

# Middling cases held against an exact solver: what the planner proves, the solver finds too.
class SolverTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  C = R::Cutting

  def test_patterned_cloth
    held_against_the_solver(12, 31) { |task| PlacesModel.new(task).least }
  end

  def test_plain_cloth
    held_against_the_solver(12, 32, repeat: 0) { |task| StretchesModel.new(task).least }
  end

  # The search for many cuts by itself.
  def test_the_search_for_many_cuts_of_patterned_cloth
    random = Random.new(34)
    4.times do |round|
      task = C::PlanTask.new(*example(random, 320, kinds: 5, more: 2))
      search = C::Patterned::Search.new(task, C::LongestFirst.new(task))
      assert_predicate search, :proved?, "round #{round}"
      assert_equal PlacesModel.new(task).least, task.whole(search.pieces.sum(R::Length::ZERO, &:used)), "round #{round}"
    end
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

  def example(random, repeat, kinds: 4, more: 0)
    kinds = Array.new(kinds) { [repeat.zero? ? nil : random.rand(repeat), 700 + random.rand(900)] }
    cuts =
      Array.new(10 + more + random.rand(5)) do |index|
        kinds[index % kinds.size].then { |start, length| cut("t#{index % kinds.size}", start, length, index) }
      end
    pieces = Array.new(3) { |index| piece(random, index, cuts.sum { |one| one.length.mm.to_i } / 2) }
    problems = R::Problems.new
    raw = {
      "id" => "c",
      "use" => "face",
      "width" => 1400,
      "vertical_repeat" => repeat,
      "square_off" => 20,
      "pieces" => pieces
    }
    [R::Cloth.build(R::Cloth::FIELDS.read(raw, R::Units::MM, problems), problems), cuts]
  end

  def piece(random, index, length)
    flaw = random.rand(length - 100)
    {
      "id" => "p#{index}",
      "length" => length,
      "pattern_start" => random.rand(300),
      "flaws" => index.zero? ? [] : [{"from" => flaw, "to" => flaw + 30}]
    }
  end

  def cut(treatment, start, length, number)
    C::Cut.new(
      treatment: treatment,
      curtain: "left",
      number: number,
      phase: nil,
      start: start && R::Length.mm(start),
      length: R::Length.mm(length)
    )
  end
end
