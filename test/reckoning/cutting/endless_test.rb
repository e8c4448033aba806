# frozen_string_literal: true

require "test_helper"

# The order of cuts on one endless piece: never longer than the best of all orders.
class EndlessTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  C = R::Cutting

  def test_no_order_is_shorter
    random = Random.new(3)
    examples = Array.new(600) do |seed|
      repeat = [60, 96, 100, 64].sample(random: random)
      cloth = cloth(repeat, [0, 0, 7].sample(random: random))
      [cloth, cuts(random, repeat, 1 + random.rand(6)), seed]
    end
    Walks.some(examples, 200).each do |cloth, cuts, seed|
      assert_equal shortest(cloth, cuts), C::Endless.new(cloth, cuts).length_used, "#{seed}: #{cuts}"
    end
  end

  def test_it_agrees_with_the_search_over_multisets_on_more_cuts
    random = Random.new(5)
    60.times do
      cloth = cloth(120, 0)
      cuts = cuts(random, 120, 12, kinds: 4)
      slow = C::FreeAmongPhased.new(cloth, cuts).order
      assert_equal ended(cloth, slow), C::Endless.new(cloth, cuts).length_used
    end
  end

  def test_free_cuts_fill_what_the_repeat_would_waste
    cloth = cloth(100, 0)
    cuts = [cut(0, 160), cut(nil, 40), cut(0, 160)]
    made = C::Endless.new(cloth, cuts)
    assert_equal mm(360), made.length_used
    assert_predicate made, :proved?
  end

  def test_many_cuts_are_laid_out_at_once
    random = Random.new(9)
    cuts = cuts(random, 640, 1500, kinds: 300)
    made = C::Endless.new(cloth(640, 0), cuts)
    assert_equal 1500, made.placed.size
    assert_operator made.length_used, :>=, cuts.sum(R::Length::ZERO, &:length)
  end

  private

  def mm(number) = R::Length.mm(number)

  def cloth(repeat, square_off)
    R::Cloth.build(
      R::Cloth::FIELDS.read(
        {"id" => "c", "use" => "face", "width" => 1400, "vertical_repeat" => repeat, "square_off" => square_off},
        R::Units::MM,
        R::Problems.new
      ),
      R::Problems.new
    )
  end

  def cut(start, length, number = 1) =
    C::Cut.new(
      treatment: "t",
      curtain: "left",
      number: number,
      phase: nil,
      start: start && mm(start),
      length: mm(length)
    )

  def cuts(random, repeat, count, kinds: 3)
    made = Array.new(kinds) { [random.rand(repeat), 100 + random.rand(200)] }
    Array.new(count) { |index| made[random.rand(kinds)].then { |start, length| cut(start, length, index) } }
  end

  def shortest(cloth, cuts) = cuts.permutation.map { |order| ended(cloth, order) }.min

  def ended(cloth, order)
    order.reduce(cloth.square_off) do |at, cut|
      (cut.start ? at + (cut.start - at) % cloth.vertical_repeat : at) + cut.length
    end
  end
end
