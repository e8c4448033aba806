# frozen_string_literal: true

require "store_test_helper"

# Whose turn it is, and what speaks against a reading.
class MeteringTest < StoreTest
  W = EarnestFold::Work
  Entry = Struct.new(:spec, :altered_as) do
    def record = self
  end

  def test_what_carries_it_comes_first_then_the_drops_from_left_to_right
    spec, asked = {}, []
    while (turn = metering(spec).turn)
      asked << turn
      spec = W::SpecFields.set(spec, turn, "2 m")
    end
    assert_equal %w[support.length drop.readings.left drop.readings.middle drop.readings.right], asked
  end

  def test_a_dress_pair_is_measured_by_what_each_covers
    assert_equal "opening.cover", metering({"opening" => {"kind" => "dress_pair"}}).turn
  end

  def test_each_reading_has_the_next_turn_and_one_too_many_has_none
    made = metering({"support" => {"length" => "2 m"}}, waiting: %w[2100 2101 2102 55].map { |mm| reading(mm) })
    assert_equal %w[drop.readings.left drop.readings.middle drop.readings.right] + [nil], made.proposals.map(&:path)
  end

  def test_drops_far_apart_are_asked_for_again_until_the_same_was_read_twice
    spec = measured("2140", "2141", "2095")
    assert_predicate metering(spec), :again?
    assert_equal "drop.readings.right", metering(spec).turn
    once = [taken("2095", "drop.readings.right")]
    assert_equal "drop.readings.right", metering(spec, taken: once).turn
    assert_nil metering(spec, taken: once + [taken("2097", "drop.readings.right")]).turn
    assert_equal "drop.readings.right", metering(spec, taken: once + [taken("2099", "drop.readings.right")]).turn
    refute_predicate metering(measured("2140", "2145", "2150")), :again?
    assert_predicate metering(measured("2140", "2145", "2151")), :again?
  end

  def test_a_double_press_is_one_meters_within_two_seconds
    at = Time.at(1_800_000_000)
    first = reading("2100", at: at)
    doubts = lambda do |second|
      metering({}, waiting: [first, second]).proposals.last.doubts.map(&:first)
    end
    assert_equal [:pressed_twice], doubts.call(reading("2103", at: at + 2))
    assert_empty doubts.call(reading("2104", at: at + 2))
    assert_empty doubts.call(reading("2100", at: at + 3))
    assert_empty doubts.call(reading("2100", at: at, meter: nil))
    assert_empty doubts.call(reading("2100", at: at, meter: 9))
  end

  def test_one_off_a_rail_is_told_by_how_much
    spec = W::SpecFields.set({"support" => {"length" => "2 m"}}, "drop.readings.left", "214 cm")
    doubts = metering(spec, waiting: [reading("2095")]).proposals.first.doubts
    assert_equal [[:off_the_others, {by: EarnestFold::Reckoning::Length.mm(45)}]], doubts
    assert_empty metering(spec, waiting: [reading("2130")]).proposals.first.doubts
  end

  def test_every_place_is_a_length_that_is_measured_here
    S::DemoHouse.new(workroom).load
    W::Workroom.new(workroom).then do |room|
      workroom.jobs.list.flat_map { |line| room.job(line.id).works }.each do |entry|
        made = W::Metering.new(entry, waiting: [], taken: [])
        refute_empty made.places
        made.places.each { |path| made.stands(path) }
      end
    end
    assert_includes metering({}).places, "return_left"
    assert_includes metering({}).places, "drop.offset"
    refute_includes metering({}).places, "heading.hook_row"
    there = metering({"wall" => {"sill" => {"width" => "1 m"}}}).places
    assert_includes there, "wall.sill.height"
    assert_empty there.grep(/\A(ordered|ease|wall\.radiator|drop\.points|opening\.cover|support\.diameter)/)
    assert_includes metering({"support" => {"kind" => "pole"}}).places, "support.diameter"
  end

  private

  def metering(spec, waiting: [], taken: []) = W::Metering.new(Entry.new(spec), waiting: waiting, taken: taken)

  def measured(*drops)
    W::Readings::PLACES.zip(drops).reduce("support" => {"length" => "2 m"}) do |spec, (place, mm)|
      W::SpecFields.set(spec, "drop.readings.#{place}", "#{mm} mm")
    end
  end

  def reading(mm, at: Time.at(0), meter: 1, path: "", state: "waiting")
    S::MeterReadings::Reading.new(id: 1, meter_id: meter, length: "#{mm} mm", state: state, why: "", path: path, at: at)
  end

  def taken(mm, path) = reading(mm, path: path, state: "taken")
end
