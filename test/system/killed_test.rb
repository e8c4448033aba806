# frozen_string_literal: true

require "system_test_helper"
require "securerandom"
require "server_of_its_own"

# The house is killed and started again while somebody types, measures and ticks: every figure is kept, none twice.
class KilledTest < SystemTest
  def setup
    super
    @server = ServerOfItsOwn.new(SecureRandom.hex(64)).start
  end

  def teardown
    kill
    super
  end

  def test_nothing_is_lost_while_the_house_is_killed_and_started_again
    visit "#{house}/jobs/#{office.id}/treatments/#{treatment.id}/measure"
    type "Overlap, in all", "14"
    kill
    type "Left return", "8"
    type "Ease, each", "1.5"
    assert_selector ".unsent-mark", minimum: 2
    start
    assert_settled
    assert_equal ["14 cm", "8 cm", "1.5 cm"], spec.values_at("overlap", "return_left", "ease")
    assert_equal 3, workroom.treatments.changes(treatment.id).size
  end

  def test_what_is_said_at_the_bench_and_the_table_survives_it_too
    visit "#{house}/jobs/#{office.id}/treatments/#{treatment.id}/bench?step=mark_drop&curtain=left"
    fill_in "Left at the leading edge", with: "212.7"
    kill
    click_on "Keep it", match: :first
    assert_selector "#journal", text: "212.7"
    start
    assert_selector ".verdict.right", text: "212.7 cm"
    kill
    click_on "It is done"
    assert_selector "#journal", text: "It is done"
    start
    assert_selector ".in-turn .ticked", count: 1
    assert_equal %w[measured done], workroom.bench.entries(treatment.id).map(&:kind) - %w[corrected]
  end

  private

  def house = @server.house

  def start = @server.start

  def kill = @server.kill

  def office = workroom.jobs.find(workroom.jobs.list.find { |line| line.title == "Ticket office" }.id)

  def treatment = office.treatments.first

  def spec = treatment.spec
end
