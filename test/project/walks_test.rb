# frozen_string_literal: true

require "test_helper"

# Of very many cases a run of everything takes some, in their order and each time others; every other run takes all.
class WalksTest < EarnestFoldTest
  CASES = (1..40)

  def test_all_where_all_are_asked_for
    with_constants(Walks, WHOLE: true) do
      assert_equal CASES.to_a, Walks.some(CASES, 4)
      assert_equal 0...40, Walks.stretch(CASES, 4)
      assert_equal three.runnable_methods.sort, Class.new(three).extend(Walks.tests(1/3r)).runnable_methods.sort
    end
  end

  def test_some_in_their_order_the_same_again_for_a_seed_and_all_in_the_end
    taken = (1..200).map do |seed|
      with_constants(Walks, WHOLE: false, SEED: seed) { [Walks.some(CASES, 4), Walks.some(CASES, 4)] }
    end
    assert(taken.all? { |one, again| one == again && one.size == 4 && one == one.sort })
    assert_equal CASES.to_a, taken.flatten.uniq.sort
  end

  def test_few_are_all_taken
    with_constants(Walks, WHOLE: false) do
      assert_equal [1, 2], Walks.some([1, 2], 4)
      assert_equal 0...2, Walks.stretch([1, 2], 4)
    end
  end

  def test_a_stretch_lies_within
    stretches = (1..200).map { |seed| with_constants(Walks, WHOLE: false, SEED: seed) { Walks.stretch(CASES, 4) } }
    assert(stretches.all? { |one| one.size == 4 })
    assert_equal [0, 36], stretches.map(&:first).minmax
  end

  def test_a_share_of_a_class_is_one_at_the_least
    with_constants(Walks, WHOLE: false) do
      taken = [1/9r, 1/2r].map { |share| Class.new(three).extend(Walks.tests(share)).runnable_methods.size }
      assert_equal [1, 2], taken
    end
  end

  private

  def three
    @three ||= Class.new(Minitest::Test) do
      %i[test_a test_b test_c].each { |name| define_method(name) { flunk } }
    end
  end
end
