# frozen_string_literal: true

require "store_test_helper"

# What is remembered is what was made, never more than allowed, and never stale.
class RememberedTest < StoreTest
  def test_what_was_asked_for_longest_ago_goes_first
    kept = S::Remembered.new(2)
    made = []
    ask = ->(key) { kept.fetch(key) { made << key && key.to_s * 2 } }
    %w[a b a c a b].each { |key| assert_equal key * 2, ask.call(key) }
    assert_equal %w[a b c b], made
    assert_equal 2, kept.size
  end

  def test_many_at_once_get_what_belongs_to_their_key
    kept = S::Remembered.new(5)
    wrong =
      Array
        .new(8) do |seed|
          Thread.new do
            Random
              .new(seed)
              .then { |random| Array.new(500) { random.rand(12) } }
              .reject { |key| kept.fetch(key) { key * 3 } == key * 3 }
          end
        end
        .flat_map(&:value)
    assert_empty wrong
    assert_operator kept.size, :<=, 5
  end

  def test_the_house_is_read_anew_when_it_changed
    before = workroom.house.read
    workroom.house.update(version: before.version, on_hand: {"hooks" => 7})
    assert_equal 7, workroom.house.read.on_hand["hooks"]
    set = before.first_set
    workroom.house.update_set(set.id, name: "Renamed", spec: set.spec, version: set.version)
    assert_equal "Renamed", workroom.house.read.set(set.id).name
    assert_raises(S::Stale) { workroom.house.update(version: before.version, on_hand: {}) }
  end

  def test_another_workrooms_set_is_out_of_reach
    set = other_workroom.house.read.first_set
    assert_raises(S::Missing) { workroom.house.update_set(set.id, name: "Mine", spec: set.spec, version: set.version) }
    assert_nil workroom.house.read.set(set.id)
  end
end
