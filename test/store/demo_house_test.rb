# frozen_string_literal: true

require "store_test_helper"

# The demo house: whole, reckonable, and never over somebody's work.
class DemoHouseTest < StoreTest
  def setup
    [:papers, :jobs, :cloths].each { |table| workroom.rows(table).delete }
  end

  def test_every_window_of_it_can_be_reckoned
    assert S::DemoHouse.new(workroom).load
    sheets = workroom.jobs.list.map do |line|
      EarnestFold::Work::Job.new(workroom.jobs.find(line.id), workroom.cloths.all, workroom.house.read)
    end
    assert_operator sheets.size, :>=, 2
    sheets.flat_map(&:entries).each { |entry| assert entry.reckoning, "#{entry.title}: #{entry.problems.inspect}" }
  end

  def test_the_whole_of_it_has_every_heading_method_opening_and_alteration
    assert S::DemoHouse.new(workroom).load(whole: true)
    sheets = EarnestFold::Work::Workroom.new(workroom).at_work(50)
    works = sheets.flat_map(&:works)
    specs = works.map { |work| work.record.spec }
    reckoning = EarnestFold::Reckoning
    assert_empty reckoning::Headings.names - specs.map { |spec| spec.dig("heading", "kind") }
    assert_empty reckoning::Alterations.names - specs.map { |spec| spec["kind"] }
    assert_empty reckoning::Opening::KINDS - specs.map { |spec| spec.dig("opening", "kind") }
    assert_empty reckoning::Methods::Kinds.map(&:name) - works.filter_map { |work| method_of(work) }
    assert_equal ["Hatch"], works.reject(&:reckoning).map(&:title)
  end

  def test_it_leaves_a_furnished_workroom_alone
    workroom.jobs.create(title: "Mine", unit: "cm")
    refute S::DemoHouse.new(workroom).load
    assert_equal ["Mine"], workroom.jobs.list.map(&:title)
  end

  def test_a_reset_starts_afresh
    S::DemoHouse.new(workroom).load
    begun = workroom.house.read
    workroom.jobs.create(title: "Mine", unit: "cm")
    workroom.house.update(version: begun.version, unit: "in", rules: {"table_length" => "9 m"}, on_hand: {"rings" => 1})
    workroom.supply.keep(nil, "cloths" => [])
    assert S::DemoHouse.new(workroom).load(reset: true)
    refute_includes workroom.jobs.list.map(&:title), "Mine"
    now = workroom.house.read
    assert_equal [begun.unit, begun.rules, begun.on_hand], [now.unit, now.rules, now.on_hand]
    assert_empty workroom.rows(:supply).all
  end

  private

  def method_of(work) = work.altered_as ? nil : work.reckoning&.treatment&.order_of_work&.name
end
