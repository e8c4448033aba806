# frozen_string_literal: true

require "test_helper"

# What was taken of a piece lies end to end, and its lengths add up, whatever people do in whatever order.
class PieceLifeTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  C = R::Cutting
  LEAST = R::Length.mm(300)

  def test_the_lengths_add_up_whatever_is_done
    random = Random.new(5)
    60.times do |seed|
      life = C::PieceLife.new(length: mm(10_000), takings: [])
      40.times do
        life = step(life, random)
        assert_predicate life, :whole?, "seed #{seed}"
        assert_equal mm(10_000), life.sums.values.sum(mm(0)), "seed #{seed}"
      end
    end
  end

  def test_what_lies_between_is_an_offcut_or_waste_by_its_length
    life = taken(taken(piece, 100, 500), 900, 1200)
    assert_equal [[:wasted, 0, 100], [:cut, 100, 500], [:offcut, 500, 900], [:cut, 900, 1200]], told(life)
    assert_equal [1200, 8800], [life.ended, life.left].map { |length| length.mm.to_i }
  end

  def test_waste_can_still_be_cut_from
    life = taken(piece, 250, 900)
    assert_equal [[:wasted, 0, 20], [:cut, 20, 200], [:wasted, 200, 250], [:cut, 250, 900]], told(taken(life, 20, 200))
  end

  def test_cloth_is_taken_once_and_inside_the_piece
    life = taken(piece, 250, 900)
    [[250, 900], [800, 1000], [100, 300]].each do |from, to|
      assert_equal [:taken_already], refused { taken(life, from, to) }
    end
    [[9_900, 10_001], [-1, 50], [300, 300]].each do |from, to|
      assert_equal [:outside_the_piece], refused { taken(life, from, to) }
    end
  end

  def test_the_last_cut_put_back_is_cloth_again_with_the_waste_before_it
    life = taken(taken(piece, 0, 500), 600, 900)
    again = life.after(life.put_back(life.takings.last, least: LEAST))
    assert_equal [[:cut, 0, 500]], told(again)
  end

  def test_a_cut_put_back_between_others_lies_about
    life = taken(taken(taken(piece, 0, 500), 500, 900), 900, 1000)
    assert_equal [[:cut, 0, 500], [:offcut, 500, 900], [:cut, 900, 1000]],
      told(life.after(life.put_back(life.takings[1], least: LEAST)))
  end

  def test_a_piece_that_does_not_add_up_is_not_whole
    gap = C::PieceLife.new(length: mm(1000), takings: [C::Taking.new(kind: :cut, from: mm(10), to: mm(20), key: nil)])
    over = C::PieceLife.new(length: mm(10), takings: [C::Taking.new(kind: :cut, from: mm(0), to: mm(20), key: nil)])
    refute_predicate gap, :whole?
    refute_predicate over, :whole?
  end

  private

  def mm(number) = R::Length.mm(number)

  def piece = C::PieceLife.new(length: mm(10_000), takings: [])

  def taken(life, from, to) = life.after(life.take(:cut, mm(from), mm(to), least: LEAST))

  def told(life) = life.takings.map { |taking| [taking.kind, taking.from.mm.to_i, taking.to.mm.to_i] }

  def refused
    yield
    []
  rescue R::Invalid => invalid
    invalid.problems.map(&:code)
  end

  def step(life, random)
    cuts = life.takings.select { |taking| %i[cut wrong].include?(taking.kind) }
    return life.after(life.put_back(cuts.sample(random: random), least: LEAST)) if cuts.any? && random.rand < 0.35

    from = random.rand(10_000)
    life.after(life.take(%i[cut wrong].sample(random: random), mm(from), mm(from + 1 + random.rand(900)), least: LEAST))
  rescue R::Invalid
    life
  end
end
