# frozen_string_literal: true

require "system_test_helper"
require_relative "../../support/meter_stand_in"

# Measuring with a distance meter: each reading is looked at before it is a figure.
class MeterTest < SystemTest
  class << self
    attr_accessor :me
  end
  OF_SOMEBODY = ->(env) { EarnestFold::Web::App.call(env.merge(SignedIn::KEY => me)) }

  def setup
    super
    workroom.rows(:meters).delete
    workroom.rows(:meter_readings).delete
    self.class.me = SignedIn.owner(workroom, person_id: owner)
    Browser.opens(OF_SOMEBODY)
  end

  def teardown
    super
  ensure
    workroom.rows(:meters).delete
    Browser.opens(APP)
  end

  def test_round_a_window_with_a_meter_that_sends
    measure_anew
    press(1800)
    take("1(79|80)")
    assert_turn "Drop, left"
    press(2140, 2140)
    assert_text "2 readings wait"
    take("21[345]")
    assert_text "reading waits"
    take("21[345]")
    assert_turn "Drop, right"
    # Read off a rail: the maker sees it, and measures again.
    sent("press" => "rail", "length" => "2095 mm")
    within("#meter") { assert_text "off another drop of this window" }
    within("#meter") { click_on "Lay it aside" }
    press(2141)
    take("21[345]")
    assert_text "Everything that every window has is measured"
    assert_settled
    spec = workroom.jobs.find(@job).treatments.last.spec
    assert_match(/\A(179\d|180\d) mm\z/, spec.dig("support", "length"))
    assert_equal 3, spec.dig("drop", "readings").size
  end

  def test_one_that_types_and_what_cannot_be_a_length
    measure_anew
    find("#typed").send_keys("1.8 m", :enter)
    # Typed before the one before it is taken.
    slow(100)
    take("1(79|80)")
    find("#typed").send_keys("0", :enter)
    assert_settled
    slow(0)
    within("#meter") { assert_text "A reading is more than nothing." }
    assert_equal "", find("#typed").value
    select "m", from: "In what it types"
    find("#typed").send_keys("0.08", :enter)
    within("#meter") do
      assert_text "read as 0.08 m"
      find("summary", text: "It is something else").click
      click_on "Left return"
    end
    assert_settled
    assert_field "Left return", with: "8.0"
  end

  # The cursor is still where it was typed.
  def test_what_was_refused_stands_while_readings_come
    meter
    measure_anew
    unfold "A meter that types"
    find("#typed").send_keys("0", :enter)
    within("#meter") { assert_text "A reading is more than nothing." }
    assert_selector "#typed[aria-invalid=true]"
    press(1800)
    within("#meter") do
      assert_selector ".meter-reading b"
      assert_text "A reading is more than nothing."
    end
    find("#typed").send_keys("1")
    assert_no_selector "#typed[aria-invalid]"
    press(1801)
    within("#meter") { assert_no_text "A reading is more than nothing." }
  end

  def test_a_reading_is_taken_where_something_was_refused
    measure_anew
    type "Usable length", "long"
    assert_selector ".problem"
    find("#typed").send_keys("1.8 m", :enter)
    take("1(79|80)")
    assert_field "Usable length", with: /\A(179|180)/
    assert_no_selector ".problem"
    assert_settled
    visit page.current_path
    assert_no_selector "#journal", text: "long"
  end

  private

  # A new window of which nothing is measured, with its strip open.
  def measure_anew
    visit "/jobs"
    click_link "Ticket office"
    find("#new-window > summary").click
    within("#new-window") do
      fill_in "Room", with: "Loft stair"
      click_on "Measure it"
    end
    assert_selector ".tape a[aria-current]", text: "Measure"
    @job = current_path[%r{jobs/(\d+)}, 1].to_i
    find("#meter > summary").click
    assert_selector "#meter[open] .meter-turn"
  end

  def owner = workroom.people.add("Ida Marram", role: S::People::OWNER)

  def meter
    @meter ||= begin
      server = Capybara.current_session.server
      MeterStandIn.new("http://127.0.0.1:#{server.port}/readings", workroom.meters.connect(owner, "Meter"))
    end
  end

  def press(*truths) = truths.each { |truth| meter.press(truth) }

  def sent(report) = meter.send_off(report)

  def take(figure)
    within("#meter") do
      assert_selector ".meter-reading b", text: /\A(?:#{figure})/
      find("button", text: /\ATake it/).click
    end
  end

  def assert_turn(field) = within("#meter") { assert_selector ".meter-turn", text: field }
end
