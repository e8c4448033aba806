# frozen_string_literal: true

require "store_test_helper"
require "json"

# The ways in which a supplier's stock gives what a job lacks: never more of a piece than there is, and enough wherever
# it says so.
class BuyingWaysTest < StoreTest
  R, W = EarnestFold::Reckoning, EarnestFold::Work
  C = R::Cutting

  def setup
    S::DemoHouse.new(workroom).load
    %i[pieces].each { |table| workroom.rows(table).delete }
  end

  def test_off_one_roll_where_one_is_long_enough
    each_cloth do |cutting|
      made = bought(cutting, {"A" => [500, 3]})
      way = made.ways.find { |one| one.batch == "A" }
      assert_equal [made.to_order], way.lengths
      assert_predicate way, :whole?
    end
  end

  # Whatever a way says it gives can be laid out on just what is ordered, wherever the first repeat line falls.
  def test_what_a_way_gives_can_be_cut_of_it
    random, tried = Random.new(5), 0
    each_cloth do |cutting|
      20.times do
        stock = {"A" => Array.new(random.rand(1..6)) { random.rand(3..30) },
                 "B" => Array.new(random.rand(1..3)) { random.rand(3..15) }}
        bought(cutting, stock).ways.select { |way| way.batch && way.whole? }.each do |way|
          assert_fits(cutting, way, stock.fetch(way.batch), random)
          tried += 1
        end
      end
    end
    assert_operator tried, :>, 40
  end

  def test_a_batch_of_which_there_is_too_little_is_told_and_not_proposed
    each_cloth do |cutting|
      made = bought(cutting, {"A" => [1, 1]})
      over = made.passed_over.map { |one| [one.batch, one.length, one.untried] }
      assert_equal [["A", R::Length.mm(2000), false]], over
      assert_equal [nil], made.ways.map(&:batch)
    end
  end

  def test_where_patience_is_over_the_rest_is_left_untried
    cutting = each_cloth { |one| break one }
    rolls = (cutting.reckoned.length_needed.mm / 1000 * 2 / 3).ceil
    made = bought(cutting, {"A" => [rolls, rolls], "B" => [rolls, rolls, 1]}, patience: 0)
    assert_includes made.passed_over.map(&:untried), true
    assert_includes made.ways.map(&:batch), nil
  end

  def test_the_price_is_that_of_so_many_metres
    cutting = each_cloth { |one| break one }
    length = bought(cutting, {}).to_order
    [[length, 7r], [length + R::Length.mm(1), 10r]].each do |from, price|
      offer = {price: 10r, breaks: [{from: from, price: 7r}]}
      way = W::Buying.new(cutting, offer: offer, stock: []).ways.first
      assert_equal [price, price * length.mm / 1000], [way.price, way.cost]
    end
  end

  private

  def bought(cutting, stock, **more)
    pieces = stock.flat_map do |batch, metres|
      metres.each_with_index.map do |metre, index|
        {piece: "#{batch}#{index}", batch: batch, length: R::Length.mm(metre * 1000)}
      end
    end
    W::Buying.new(cutting, offer: {price: 10r, breaks: []}, stock: pieces, **more)
  end

  # Every cloth of the demo house of which something is to be cut.
  def each_cloth
    room = W::Workroom.new(workroom)
    workroom.jobs.list.each do |line|
      W::Cutting.of(room.job(line.id), workroom).cloths.each do |cutting|
        yield cutting if W::Buying.new(cutting).cuts.any?
      end
    end
  end

  def assert_fits(cutting, way, metres, random)
    there = metres.map { |metre| R::Length.mm(metre * 1000) }.sort.reverse
    assert way.lengths.sort.reverse.zip(there).all? { |asked, length| asked <= length }, way.lengths.inspect
    assert_predicate C::Planner.new(delivered(cutting, way, random), bought(cutting, {}).cuts).plan.uncut, :empty?
  end

  def delivered(cutting, way, random)
    repeat = cutting.cloth.vertical_repeat
    pieces = way.lengths.each_with_index.map do |length, index|
      starts = repeat.positive? ? R::Length.mm(random.rand(repeat.mm.to_i)) : R::Length::ZERO
      R::Piece.unseen(index.to_s, "A", length).with(pattern_start: starts)
    end
    cutting.cloth.with(pieces: pieces)
  end
end
