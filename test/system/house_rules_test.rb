# frozen_string_literal: true

require "system_test_helper"

# Whole pieces of work at the desk and in the client's room, in the real browser.
class HouseRulesTest < SystemTest
  def test_three_windows_are_measured_on_a_phone
    Browser.size(page, 390, 844)
    visit "/jobs"
    fill_in "House or room", with: "Attic rooms"
    click_on "Open the job"
    {
      "Gable" => %w[120 150 151.5],
      "Dormer" => %w[95 140.5 140],
      "Stair head" => %w[210 228 227.2]
    }.each do |name, figures|
      measure(name, *figures)
    end
    click_link "Attic rooms", match: :first
    assert_selector ".window", count: 3
    job = workroom.jobs.find(workroom.jobs.list.find { |line| line.title == "Attic rooms" }.id)
    assert_equal [["150 cm", "151.5 cm"], ["140.5 cm", "140 cm"], ["228 cm", "227.2 cm"]],
      job.treatments.map { |made| made.spec.dig("drop", "readings") }
    assert page.evaluate_script("document.documentElement.scrollWidth <= 390"), "the page is wider than the phone"
    assert_accessible
  end

  def test_a_figure_departs_from_the_house_rule_and_goes_back
    go "Residents' lounge", "Cloth"
    assert_selector ".departures", text: "5 departures here"
    assert_figure "cut_drop", "277.2"
    within(:xpath, "//label[text()='Hem depth']/..") { assert_selector ".rule-mark", text: "departs; rule 8" }
    click_on "back to the rule: Hem depth"
    assert_selector ".departures", text: "4 departures here"
    within(:xpath, "//label[text()='Hem depth']/..") { assert_selector ".rule-mark.kept", text: "by the rule" }
    assert_figure "cut_drop", "273.2"
    assert_accessible
    click_on "Take the last change back"
    assert_figure "cut_drop", "277.2"
  end

  def test_two_browsers_edit_one_treatment_and_nothing_is_lost
    go "Ticket office", "Measure"
    other = Capybara::Session.new(:chromium, Capybara.app)
    other.visit(page.current_url)
    other.fill_in "Overlap, in all", with: "12", fill_options: {clear: :backspace}
    other.find_field("Overlap, in all").send_keys(:tab)
    other.assert_selector ".results p", text: /finished width, left\s*102\.0/
    type "Overlap, in all", "16"
    assert_selector ".versions tr", text: /Overlap, in all\s+16\s+12/
    assert_accessible
    click_on "Take mine: Overlap, in all"
    assert_no_selector ".versions"
    assert_equal "16 cm", office.spec["overlap"]
    visit "#{page.current_path.delete_suffix("/measure")}/changes"
    assert_selector "tr", text: /12 cm\s+16 cm/
  ensure
    other&.driver&.quit
  end

  def test_a_compared_heading_is_taken_with_one_click
    go "Ticket office", "Cloth"
    click_on "Compare headings, counts, and the cloth run the other way"
    assert_selector ".compare tr.chosen", text: "2 widths to each curtain"
    assert_accessible
    metres = find("tr", text: "Wave").find("b").text
    click_on "Take it: Wave"
    assert_no_selector ".compare"
    assert_selector ".tape a[aria-current]", text: "Cloth"
    assert_selector ".results p", text: metres
    assert_equal "wave", office.spec.dig("heading", "kind")
  end

  def test_every_heading_is_drawn_from_the_front_and_from_above
    go "Ticket office", "Heading"
    all("#heading-kind option").map(&:text).each do |kind|
      select kind, from: "Heading"
      assert_selector ".picture svg[aria-label]", minimum: 2
      assert_selector ".tape a[aria-current]", text: "Heading"
      assert page.has_select?("Heading", selected: kind)
      refute page.evaluate_script(
               "[...document.querySelectorAll('.picture svg text')].some(t => t.getBBox().x < -1 || " \
                 "t.getBBox().x + t.getBBox().width > t.ownerSVGElement.viewBox.baseVal.width + 1)"
             ),
        "#{kind}: words run off the drawing"
    end
  end

  def test_what_is_on_the_wall_is_added_drawn_and_taken_away
    go "Ticket office", "Measure"
    find("summary", text: "On the wall behind").click
    click_on "Glass"
    assert_selector ".elevation .feature.glass"
    within("fieldset", text: "Glass") { fill_in "Width", with: "150" }
    find_field("Usable length").click
    assert_selector ".results p", text: /Glass left clear/
    assert_accessible
    click_on "Take it away: Glass"
    assert_no_selector ".elevation .feature.glass"
  end

  private

  def office = workroom.jobs.find(workroom.jobs.list.find { |line| line.title == "Ticket office" }.id).treatments.first

  def measure(name, length, left, right)
    unfold "Add a window"
    fill_in "Room", with: "Attic"
    fill_in "Window", with: name
    click_on "Measure it"
    type "Usable length", length
    type "Drop, left", left
    type "Drop, right", right
    assert_selector ".results p", text: /finished drop\s*#{[left, right].map(&:to_f).min}/
    click_link "Attic rooms", match: :first
  end
end
