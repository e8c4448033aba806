# frozen_string_literal: true

require "test_helper"

# Values: frozen, compared by what they hold, strict about their members.
class ValueTest < EarnestFoldTest
  Point = EarnestFold::Reckoning::Value.define(:x, :y)

  def test_it_holds_what_it_was_given
    point = Point.new(x: 1, y: 2)
    assert_equal({x: 1, y: 2}, point.to_h)
    assert_equal Point.new(x: 1, y: 3), point.with(y: 3)
    assert_predicate point, :frozen?
    assert_same point, point.dup
    assert_equal 1, [point, Point.new(x: 1, y: 2)].uniq.size
    assert_raises(FrozenError) { point.instance_variable_set(:@x, 5) }
  end

  def test_missing_and_unknown_members_raise
    assert_match(/missing keyword: :y/, assert_raises(ArgumentError) { Point.new(x: 1) }.message)
    assert_match(/unknown keyword: :z/, assert_raises(ArgumentError) { Point.new(x: 1, y: 2, z: 3) }.message)
    assert_raises(ArgumentError) { Point.new(x: 1, z: 3) }
  end

  def test_it_takes_part_in_pattern_matching
    case Point.new(x: 1, y: 2)
    in {x: 1, y:} then assert_equal 2, y
    end
  end
end
