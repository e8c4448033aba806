# frozen_string_literal: true

require "test_helper"

# Of every answer it is shown that it is the best: what is taken makes up what is wanted, no column would make it
# cheaper, and the prices make the whole worth what it costs.
class SimplexTest < EarnestFoldTest
  Simplex = EarnestFold::Reckoning::Cutting::Patterned::Simplex

  def test_the_cheapest_mixture_is_the_cheapest
    random = Random.new(61)
    60.times do |seed|
      wanted = Array.new(2 + random.rand(6)) { random.rand(9) }
      simplex, columns, costs = programme(random, wanted)
      simplex.minimise
      assert_cheapest(simplex, wanted, columns, costs, seed)
    end
  end

  def test_it_goes_on_from_where_it_was
    random = Random.new(62)
    30.times do |seed|
      wanted = Array.new(4) { 1 + random.rand(8) }
      simplex, columns, costs = programme(random, wanted)
      simplex.minimise
      10.times { columns[simplex.add(costs[columns.size] = 1 + random.rand(40), entries = some(random, 4))] = entries }
      simplex.minimise
      assert_cheapest(simplex, wanted, columns, costs, seed)
    end
  end

  def test_what_is_given_up_is_taken_no_more_and_a_copy_is_a_copy
    simplex = Simplex.new([4], [100])
    cheap, dear = simplex.add(3, [[0, 2]]), simplex.add(5, [[0, 2]])
    simplex.minimise
    other = simplex.dup
    other.give_up([cheap], 1000)
    other.minimise
    assert_equal [[cheap], [dear]], [simplex, other].map { |one| one.taken.map(&:first) }
    assert_in_delta 2, other.taken.first.last, 1e-3
  end

  private

  def programme(random, wanted)
    nowhere = wanted.map { 30 + random.rand(50) }
    simplex = Simplex.new(wanted, nowhere)
    columns, costs = wanted.each_index.map { |row| [[row, 1]] }, nowhere
    12.times do
      columns[simplex.add(costs[columns.size] = 1 + random.rand(60), entries = some(random, wanted.size))] = entries
    end
    [simplex, columns, costs]
  end

  def some(random, rows) =
    (0...rows).to_a.sample(1 + random.rand(3), random: random).sort.map { |row| [row, 1 + random.rand(4)] }

  # The few parts by which every row is raised make each at most a little more.
  def assert_cheapest(simplex, wanted, columns, costs, seed)
    made = Array.new(wanted.size, 0)
    simplex.taken.each { |column, amount| columns[column].each { |row, factor| made[row] += factor * amount } }
    made.zip(wanted) { |sum, count| assert_in_delta count, sum, 0.05, "seed #{seed}" }
    columns.each_with_index do |entries, column|
      assert_operator entries.sum { |row, factor| simplex.prices[row] * factor }, :<=, costs[column], "seed #{seed}"
    end
    cost = simplex.taken.sum { |column, amount| costs[column] * amount }
    assert_in_delta cost,
      wanted.zip(simplex.prices).sum { |count, price| count * price },
      wanted.sum + cost / 100 + 1,
      "seed #{seed}"
  end
end
