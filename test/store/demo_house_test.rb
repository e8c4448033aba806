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

  def test_it_leaves_a_furnished_workroom_alone
    workroom.jobs.create(title: "Mine", unit: "cm")
    refute S::DemoHouse.new(workroom).load
    assert_equal ["Mine"], workroom.jobs.list.map(&:title)
  end

  def test_a_reset_starts_afresh
    S::DemoHouse.new(workroom).load
    workroom.jobs.create(title: "Mine", unit: "cm")
    assert S::DemoHouse.new(workroom).load(reset: true)
    refute_includes workroom.jobs.list.map(&:title), "Mine"
  end
end
