# frozen_string_literal: true

require "system_test_helper"
require "system/line"

# No keystroke is lost, and nothing is done twice, however fast a hand and however bad the line.
class JournalTest < SystemTest
  FIGURES = {
    "Left return" => %w[return_left 7],
    "Usable length" => %w[support.length 191],
    "Right return" => %w[return_right 5.5],
    "Drop, left" => %w[drop.readings.left 213],
    "Drop, middle" => %w[drop.readings.middle 212.5],
    "Drop, right" => %w[drop.readings.right 213.5],
    "Overlap, in all" => %w[overlap 9],
    "Ease, each" => %w[ease 1.5]
  }.freeze

  # One of them all the same: each application has a browser of its own.
  LINE = Line.new(SystemTest::APP)

  def setup
    super
    Browser.opens(LINE)
    workroom.rows(:papers).delete
  end

  def teardown
    Line.mend
    slow(0)
    super
  ensure
    Browser.opens(SystemTest::APP)
  end

  # Milliseconds of line; the hand leaves a field after a twentieth of a second to half of one.
  Walks.some([30, 150, 400], 1).each do |latency|
    define_method(:"test_every_figure_is_kept_on_a_line_of_#{latency}_ms") do
      go "Ticket office", "Measure"
      slow(latency)
      type_all(Random.new(latency))

      assert_settled
      assert_kept
      FIGURES.each { |label, (_, figure)| assert_field label, with: figure }
    end
  end

  def test_the_last_edits_go_along_to_the_next_station
    go "Ticket office", "Measure"
    slow(150)
    type "Left return", "9"
    type "Overlap, in all", "11"
    find(".onward", text: "Heading").click

    assert_selector ".tape a[aria-current]", text: "Heading"
    assert_settled
    assert_equal ["9 cm", "11 cm"], spec.values_at("return_left", "overlap")
    assert_selector ".results", text: "flat width asked"
    find(".tape a", text: "Measure").click
    assert_field "Overlap, in all", with: "11"
  end

  def test_what_stands_half_typed_goes_along_too
    go "Ticket office", "Measure"
    fill_in "Overlap, in all", with: "13"
    page.execute_script("document.querySelector('.tape li:nth-child(3) a').click()")

    assert_selector ".tape a[aria-current]", text: "Cloth"
    assert_settled
    assert_equal "13 cm", spec["overlap"]
  end

  def test_an_answer_that_is_lost_is_asked_for_again_and_nothing_is_done_twice
    go "Ticket office", "Measure"
    Line.befalls.concat(%i[lost_after lost_after lost_before])
    type "Overlap, in all", "14"

    assert_settled
    assert_equal "14 cm", spec["overlap"]
    assert_equal 1, workroom.treatments.changes(treatment.id).size
    go "Ticket office", "Making"
    click_link "Measure the drop", match: :first
    Line.befalls.concat(%i[lost_after lost_after])
    fill_in "Left at the leading edge", with: "212.7"
    click_on "Keep it", match: :first

    assert_selector ".verdict.right", text: "212.7 cm"
    Line.befalls.concat(%i[lost_before lost_after])
    click_on "It is done"

    assert_selector ".in-turn .ticked", count: 1
    assert_settled
    assert_equal %w[measured done], workroom.bench.entries(treatment.id).map(&:kind) - %w[corrected]
  end

  def test_what_isnt_sent_yet_is_marked_at_its_field_and_sent_by_itself
    go "Ticket office", "Measure"
    Line.cut = true
    type "Overlap, in all", "14"
    type "Left return", "8"

    assert_selector ".field.unsent", text: "not sent yet", count: 2
    assert_selector "#journal", text: "Overlap, in all, Left return"
    Line.mend

    assert_settled
    assert_no_selector ".unsent-mark"
    assert_equal ["14 cm", "8 cm"], spec.values_at("overlap", "return_left")
  end

  def test_a_busy_house_and_an_answer_that_never_comes
    go "Ticket office", "Measure"
    page.execute_script("EarnestFold.patience = 300")
    Line.befalls.concat(%i[busy silent fault])
    type "Overlap, in all", "14"

    assert_settled
    assert_equal "14 cm", spec["overlap"]
  end

  def test_one_thing_that_is_too_large_stops_nothing_behind_it
    go "Ticket office", "Measure"
    Line.too_large = /overlap=14/
    type "Overlap, in all", "14"
    type "Left return", "8"

    assert_settled
    assert_selector "#journal", text: "Too much at once, not taken: Overlap, in all: 14"
    assert_field "Overlap, in all", with: "14"
    assert_equal ["8 cm", "8 cm"], spec.values_at("return_left", "overlap")
    click_on "Let it go"
    assert_no_selector "#journal", text: "14"
    assert_field "Overlap, in all", with: "8"
  end

  def test_a_fault_of_the_houses_own_is_set_aside_after_a_few_times
    go "Ticket office", "Measure"
    page.execute_script("EarnestFold.shortest = 20")
    Line.befalls.concat([:fault] * 5)
    type "Overlap, in all", "14"
    type "Left return", "8"

    assert_selector "#journal", text: "The house stumbled over this, it isn't taken: Overlap, in all: 14"
    assert_settled
    assert_equal "8 cm", spec["return_left"]
  end

  def test_a_tab_that_is_closed_loses_nothing
    tab = open_new_window
    within_window(tab) do
      go "Ticket office", "Measure"
      Line.cut = true
      type "Overlap, in all", "14"
      assert_selector ".unsent-mark"
    end
    tab.close
    Line.mend
    visit "/jobs"

    assert_settled
    assert_equal "14 cm", spec["overlap"]
  end

  def test_what_is_refused_stands_there_after_a_reload_and_what_follows_is_taken
    go "Ticket office", "Measure"
    type "Overlap, in all", "wide"
    assert_selector ".problem", text: "length"
    type "Left return", "8"
    assert_settled
    visit current_path

    assert_field "Overlap, in all", with: "wide"
    type "Overlap, in all", "12"
    assert_settled
    assert_no_selector ".problem"
    assert_equal ["8 cm", "12 cm"], spec.values_at("return_left", "overlap")
  end

  # Whatever is taken before it and after it.
  def test_what_is_refused_stands_as_it_was_typed_with_what_is_wrong
    go "Ticket office", "Measure"
    others = {"Left return" => "9", "Ease, each" => "2.5"}
    [%w[before before], %w[before after], %w[after after]].each_with_index do |places, turn|
      before, after = others.partition.with_index { |_, index| places[index] == "before" }.map(&:to_h)
      slow(100)
      type_at_once({**before, "Overlap, in all" => "wide#{turn}", **after}.transform_values { |text| "#{text}#{turn}" })

      assert_settled
      slow(0)
      within(find_field("Overlap, in all").find(:xpath, "..")) { assert_selector ".problem", text: "as a length" }
      assert_field "Overlap, in all", with: "wide#{turn}#{turn}"
      assert_equal ["9#{turn} cm", "2.5#{turn} cm"], spec.values_at("return_left", "ease")
    end
    type "Overlap, in all", "12"
    assert_no_selector ".problem"
    assert_equal "12 cm", spec["overlap"]
  end

  def test_what_was_refused_is_forgotten_where_the_figure_that_stood_is_typed_again
    go "Ticket office", "Measure"
    type "Overlap, in all", "wide"
    assert_selector ".problem"
    type "Overlap, in all", "8"

    assert_no_selector ".problem"
    visit current_path
    assert_field "Overlap, in all", with: "8"
    assert_no_selector "#journal", text: "wide"
  end

  def test_a_store_that_cannot_be_read_is_set_aside
    go "Ticket office", "Measure"
    page.execute_script(
      <<~JS
        localStorage.setItem("earnest-fold-journal:1", "{oops");
        localStorage.setItem("earnest-fold-journal:2", '{"key": 1}');
      JS
    )
    visit current_path
    type "Overlap, in all", "14"

    assert_settled
    assert_selector "#journal", text: "can't be read"
    assert_equal "14 cm", spec["overlap"]
    assert_equal 2,
      page.evaluate_script(
        %(Object.keys(localStorage).filter(function (key) { return key.indexOf("unreadable") > 0; }).length)
      )
  end

  def test_a_browser_that_keeps_nothing_still_sends
    go "Ticket office", "Measure"
    page.execute_script(%(Storage.prototype.setItem = function () { throw new Error("full"); };))
    Line.befalls.concat(%i[lost_before])
    type "Overlap, in all", "14"

    assert_settled
    assert_selector "#journal", text: "keeps nothing"
    assert_equal "14 cm", spec["overlap"]
  end

  def test_a_double_click_writes_one_invoice
    visit "/jobs/#{office.id}/account"
    slow(150)
    page.driver.browser.action.double_click(find_button("Write invoice", match: :first).native).perform
    assert_selector ".rule-sets li", text: "Invoice", count: 1
    assert_settled

    assert_equal 1, workroom.bills.of(office.id).size
  end

  # Half a form filled in is left alone when the page is renewed round it.
  def test_what_is_half_filled_in_stays_while_something_else_is_sent
    visit "/jobs/#{office.id}"
    unfold "Add a window"
    fill_in "Room", with: "Boat shed"
    slow(150)
    page.execute_script(%(document.querySelector("textarea[name=notes]").value = "ladder"))
    page.execute_script(%(document.querySelector("form[action$='/notes']").requestSubmit()))
    page.execute_script(%(history.replaceState(null, "", location.pathname + "?elsewhere=1")))

    assert_settled
    assert_field "Room", with: "Boat shed"
    assert_equal "ladder", office.notes
  end

  # A choice that brings other fields with it shows them, and a field that the answer left out and the page hasn't is
  # asked for.
  def test_fields_that_come_with_a_choice_are_there
    go "Ferry chapel", "Measure"
    select "single", from: "Hem as it is", match: :first
    assert_field "its turn-under", match: :first
    page.execute_script("document.getElementById('field-existing_hem-depth').remove()")
    type "its turn-under", "1"
    assert_field "its depth", match: :first
  end

  # A check that comes above the fields, and goes again, moves none of them under the hand.
  def test_the_fields_stay_where_they_are
    go "Ticket office", "Measure"
    [0, 20].each do |scrolled|
      page.execute_script("window.scrollTo(0, #{scrolled})")
      top = top_of("Ease, each")
      type "Drop, left", "212"
      assert_selector ".check", text: "differ by"
      assert_in_delta top, top_of("Ease, each"), 1
      type "Drop, left", "214"
      assert_no_selector ".check", text: "differ by"
      assert_in_delta top, top_of("Ease, each"), 1
    end
    with_the_check_from_the_start
  end

  def test_two_tabs_of_one_browser
    go "Ticket office", "Measure"
    tab = open_new_window
    within_window(tab) { go "Ticket office", "Measure" }
    type "Overlap, in all", "14"
    assert_settled
    within_window(tab) do
      type "Left return", "8"
      assert_settled
    end
    type "Overlap, in all", "15"
    assert_settled
    assert_no_selector ".versions"
    assert_equal ["15 cm", "8 cm"], spec.values_at("overlap", "return_left")
    tab.close
  end

  # What is refused is told in either tab, and let go in either.
  def test_two_tabs_and_something_refused
    go "Ticket office", "Measure"
    tab = open_new_window
    within_window(tab) { go "Ticket office", "Measure" }
    type "Overlap, in all", "wide"
    assert_selector ".problem"
    within_window(tab) do
      assert_selector "#journal", text: "Not taken: Overlap, in all: wide"
      click_on "Let it go"
      assert_field "Overlap, in all", with: "8"
    end
    assert_field "Overlap, in all", with: "wide"
    type "Overlap, in all", "12"
    assert_no_selector ".problem"
    assert_settled
    assert_no_selector ".versions"
    assert_equal "12 cm", spec["overlap"]
    tab.close
  end

  def test_two_browsers_at_one_window
    go "Ticket office", "Measure"
    Capybara.using_session(:other) do
      go "Ticket office", "Measure"
      type "Overlap, in all", "14"
      assert_settled
    end
    type "Left return", "8"
    assert_settled
    assert_equal ["14 cm", "8 cm"], spec.values_at("overlap", "return_left")
    Capybara.using_session(:other) do
      type "Left return", "7"
      assert_selector ".versions tr", text: /Left return\s+7\s+8/
      click_on "Leave theirs"
      assert_no_selector ".both"
      assert_field "Left return", with: "8"
    end
    assert_equal "8 cm", spec["return_left"]
  end

  # What two saved differently is told until it is decided on, whatever else is typed.
  def test_two_browsers_at_one_window_typing_on
    go "Ticket office", "Measure"
    another_browser do
      type "Left return", "8"
      type "Overlap, in all", "14"
    end
    slow(100)
    type_at_once("Ease, each" => "2", "Left return" => "7", "Overlap, in all" => "15", "Right return" => "6")
    assert_settled
    slow(0)

    assert_selector ".versions tr", text: /Left return\s+7\s+8/
    assert_selector ".versions tr", text: /Overlap, in all\s+15\s+14/
    assert_equal ["8 cm", "14 cm", "2 cm", "6 cm"],
      spec.values_at("return_left", "overlap", "ease", "return_right")
    click_on "Take mine: Left return"
    assert_no_selector ".versions tr", text: "Left return"
    assert_settled
    type "Overlap, in all", "16"
    assert_no_selector ".versions"
    assert_settled
    assert_equal ["7 cm", "16 cm"], spec.values_at("return_left", "overlap")
  end

  # What was seen stays with what is half typed: nobody's words are written over in silence.
  def test_notes_half_typed_while_somebody_else_keeps_theirs
    visit "/jobs/#{office.id}"
    find("textarea[name=notes]").set("ladder")
    workroom.jobs.set_notes(office.id, "two steps", version: office.version)
    click_on "Keep these days"
    assert_settled
    click_on "Keep the notes"

    assert_selector ".versions tr", text: /ladder\s+two steps/
    assert_equal "two steps", office.notes
    click_on "Take mine", match: :first
    assert_no_selector ".versions"
    assert_equal "ladder", office.notes
  end

  # What stands half filled in in a form waits for whoever comes back to the page, until it is sent.
  def test_what_is_half_filled_in_is_there_again
    visit "/jobs/#{office.id}"
    unfold "Add a window"
    fill_in "Room", with: "Boat shed"
    visit "/shelf"
    assert_selector "h1", text: "Shelf"
    visit "/jobs/#{office.id}"

    assert_field "Room", with: "Boat shed"
    assert_selector ".half-mark", text: "not kept yet", count: 1
    click_on "Measure it"
    assert_selector ".tape a[aria-current]", text: "Measure"
    visit "/jobs/#{office.id}"
    unfold "Add a window"
    assert_field "Room", with: ""
    assert_no_selector ".half-mark"
  end

  # One's own words are nobody else's.
  def test_notes_kept_twice
    visit "/jobs/#{office.id}"
    ["ladder ", "ladder, hooks"].each do |notes|
      find("textarea[name=notes]").set(notes)
      click_on "Keep the notes"
      assert_settled
    end

    assert_no_selector ".versions"
    assert_equal "ladder, hooks", office.notes
  end

  private

  def another_browser(&)
    Capybara.using_session(:other) do
      go "Ticket office", "Measure"
      yield
      assert_settled
    end
  end

  # Faster than any answer: all of it waits at the same time.
  def type_at_once(figures)
    ids = figures.to_h { |label, text| [find_field(label)[:id], text] }
    page.execute_script(<<~JS, ids)
      Object.entries(arguments[0]).forEach(function (pair) {
        var field = document.getElementById(pair[0]);
        field.value = pair[1];
        field.dispatchEvent(new Event("input", { bubbles: true }));
        field.dispatchEvent(new Event("change", { bubbles: true }));
      });
    JS
  end

  # At the very top nothing can be scrolled back: the room is kept.
  def with_the_check_from_the_start
    type "Drop, left", "212"
    assert_settled
    visit page.current_path
    top = top_of("Ease, each")
    type "Drop, left", "214"
    assert_no_selector ".check", text: "differ by"
    assert_in_delta top, top_of("Ease, each"), 1
  end

  def top_of(label) = find_field(label).evaluate_script("this.getBoundingClientRect().top")

  def office = workroom.jobs.find(workroom.jobs.list.find { |line| line.title == "Ticket office" }.id)

  def treatment = office.treatments.first

  def spec = treatment.spec

  # As a hand does it: into the field, over what stands there, and on to the next.
  def type_all(random)
    FIGURES.each do |label, (_, figure)|
      field = find_field(label).native
      page
        .driver
        .browser
        .action
        .click(field)
        .key_down(:control)
        .send_keys("a")
        .key_up(:control)
        .send_keys(figure)
        .pause(duration: 0.05 + random.rand * 0.45)
        .send_keys(:tab)
        .perform
    end
  end

  def assert_kept
    there = FIGURES.values.to_h do |path, _|
      [path, EarnestFold::Work::SpecFields.shown(path, spec, EarnestFold::Reckoning::Units::CM)]
    end
    assert_equal FIGURES.values.to_h, there
  end
end
