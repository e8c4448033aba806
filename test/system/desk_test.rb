# frozen_string_literal: true

require "system_test_helper"

# How the desk behaves under the hand.
class DeskTest < SystemTest
  def test_a_choice_is_taken_with_one_click_and_the_page_stays
    go "Ticket office", "Cloth"
    page.execute_script("window.stayed = true")
    find(".choice", text: "2½").click
    assert_selector ".choice.chosen", text: "2½"
    assert page.evaluate_script("window.stayed")
    assert_selector ".working li", text: "2½ widths"
  end

  def test_focus_and_half_typed_text_outlive_an_update
    go "Ticket office", "Measure"
    fill_in "Overlap, in all", with: "10"
    find_field("Drop, left").click
    find_field("Drop, left").send_keys(:end, "5")
    assert_selector ".results p", text: /finished width, left\s*101\.0/
    assert_field "Drop, left", with: "2145"
    assert page.evaluate_script("document.activeElement.id === 'drop-readings-left'")
  end

  # From where one measures, and back to it.
  def test_a_window_and_its_job_take_other_names
    go "Ticket office", "Measure"
    find("summary", text: "Notes and name").click
    click_on "Room and name"
    fill_in "Window", with: "Quay sash"
    click_on "Keep it so"
    assert_selector ".tape a[aria-current]", text: "Measure"
    assert_selector ".rail a[aria-current]", text: "Quay sash"
    click_on "Ticket office", match: :first
    find("summary", text: "Rename").click
    fill_in "Name of the job", with: ""
    within(".rename") { click_on "Keep it so" }
    assert_text "Give the job a name: the house, or the room."
    fill_in "Name of the job", with: "Ticket hall"
    within(".rename") { click_on "Keep it so" }
    assert_selector "h1", text: "Ticket hall"
    assert_selector ".window h2", text: "Quay sash"
    assert_accessible
  end

  def test_what_cannot_be_read_stays_with_its_line_and_is_taken_when_mended
    go "Ticket office", "Measure"
    type "Drop, middle", "two metres"
    assert_text "This can't be read as a length. Write 236, 93 1/2 or 2.36 m."
    assert_field "Drop, middle", with: "two metres"
    assert_accessible
    type "Drop, middle", "210"
    assert_no_text "can't be read"
    assert_selector ".results p", text: /finished drop\s*209\.0/
  end

  def test_the_working_is_folded_on_a_phone_until_it_is_asked_for
    Browser.size(page, 390, 844)
    go "Ticket office", "Measure"
    assert_selector ".working summary"
    assert_no_selector ".working li"
    find(".working summary").click
    assert_selector ".working li", text: "Finished drop"
    type "Drop, middle", "210"
    assert_selector ".working li", text: "209.0"
    find(".working summary").click
    type "Drop, middle", "211"
    assert_settled
    assert_no_selector ".working li"
    Browser.size(page, 1280, 800)
    assert_selector ".working li", text: "Finished drop"
  end

  def test_touching_a_figure_lights_its_line
    go "Ticket office", "Cloth"
    find("[data-shows=cut_drop]").hover
    assert_selector ".working li.lit", text: "Cut drop"
  end

  # What a hand opened stays open under it; what begins to matter opens by itself.
  def test_folded_figures_open_by_hand_and_by_themselves
    go "Ticket office", "Cloth"
    assert_selector "#fold-making[open]", text: "Seam"
    select "Hand-finished, lined", from: "House rules"
    assert_selector "#fold-making:not([open])"
    find("#fold-making summary").click
    type "Seam", "2"
    assert_selector "#fold-making[open] .rule-mark", text: "departs"
    find("#fold-making summary").click
    type "Hem depth", "9"
    assert_text "departs; rule 8"
    assert_selector "#fold-making:not([open])"
    assert_accessible
  end

  def test_the_other_tape_shows_the_same_window
    go "Ticket office", "Cloth"
    assert_figure "cut_drop", "232.8"
    find("#other-unit").click
    assert_figure "cut_drop", /91\s?5\/8/
    find("#other-unit").click
    assert_figure "cut_drop", "232.8"
  end

  def test_someone_elses_change_is_told
    go "Ticket office", "Measure"
    job = workroom.jobs.list.find { |line| line.title == "Ticket office" }
    treatment = workroom.jobs.find(job.id).treatments.first
    workroom.treatments.update(treatment.id, treatment.spec.merge("overlap" => "20 cm"), version: treatment.version)
    type "Left return", "9"
    assert_selector ".results p", text: /finished width, left\s*109\.0/
    assert_field "Overlap, in all", with: "20"
    spec = workroom.jobs.find(job.id).treatments.first
    workroom.treatments.update(treatment.id, spec.spec.merge("overlap" => "22 cm"), version: spec.version)
    type "Overlap, in all", "16"
    assert_text "Someone else changed the same field"
    assert_selector ".versions tr", text: /Overlap, in all\s+16\s+22/
    assert_field "Overlap, in all", with: "22"
    click_on "Take mine"
    assert_no_text "Someone else changed"
    assert_equal ["9 cm", "16 cm"], workroom.jobs.find(job.id).treatments.first.spec.values_at("return_left", "overlap")
  end

  def test_a_change_is_taken_back_with_one_click
    go "Ticket office", "Measure"
    type "Overlap, in all", "20"
    assert_selector ".results p", text: /finished width, left\s*106\.0/
    click_on "Take the last change back"
    assert_selector ".results p", text: /finished width, left\s*100\.0/
    assert_no_button "Take the last change back"
  end

  def test_another_heading_is_chosen_and_the_cloth_follows
    go "Ticket office", "Heading"
    select "Hand pleat", from: "Heading"
    assert_selector ".choice.chosen", text: "10"
    assert_accessible
    find("button.choice[value='9']").click
    assert_selector ".choice.chosen", text: "9"
    click_on "On to Cloth"
    assert_figure "cut_drop", "241.3"
  end

  def test_a_job_document_goes_out_and_in
    visit "/jobs"
    attach_file "A *.fold.json or *.fold.tar file", root("test/golden/02-patterned-interlined-bay.fold.json")
    click_on "Bring it in"
    assert_selector "h1", text: "Residents' lounge"
    assert_selector ".window", count: 2
    click_link "River bay"
    assert_selector ".tape a[aria-current]"
    assert_selector ".working li", text: "Cut drop"
  end

  def test_a_phone_measures_with_one_thumb
    Browser.size(page, 390, 844)
    go "Ticket office", "Measure"
    assert page.evaluate_script("document.documentElement.scrollWidth <= 390"), "the page is wider than the phone"
    assert_operator find_field("Drop, left").native.size.height, :>=, 44
    type "Drop, left", "212"
    assert_selector ".results p", text: /finished drop\s*211\.0/
    assert_accessible
  end

  def test_what_nobody_can_hear_or_see_is_found
    visit "/jobs"
    page.execute_script("document.querySelector('main').insertAdjacentHTML('beforeend', '<input>')")
    assert_match(/\Alabel: /, findings.join)
  end
end
