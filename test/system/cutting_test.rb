# frozen_string_literal: true

require "system_test_helper"

# Cutting in the real browser: the plan, the table, the shelf, with the hand and with the keyboard.
class CuttingInTheBrowserTest < SystemTest
  def test_a_plan_goes_to_the_table_and_is_cut
    at_the_table
    assert_selector ".huge b", text: "310.4"
    assert_selector ".first b", text: "33.2"
    assert_operator figure_height, :>=, 64
    assert_accessible
    click_on "It is cut"
    assert_selector ".table-head p", text: "1 of 8 cut"
    assert_selector ".huge b", text: "320.0"
    find(".cut-list a", text: /Left, width 1\b/).click
    click_on "It isn't cut after all"
    assert_selector ".table-head p", text: "0 of 8 cut"
  end

  # Twice as large is twice as large, however many rows the cloth lies in then.
  def test_enlarged_it_is_larger
    go "Residents' lounge", "Cutting"
    once = longest_cut
    click_on "2×"
    assert_selector ".segments a[aria-current]", text: "2×"
    assert_in_delta 2, longest_cut / once, 0.1
    click_on "4×"
    assert_selector ".segments a[aria-current]", text: "4×"
    assert_in_delta 4, longest_cut / once, 0.1
  end

  def test_enter_ticks_the_cut
    at_the_table
    assert_selector ".huge b", text: "310.4"
    find("body").send_keys(:enter)
    assert_selector ".table-head p", text: "1 of 8 cut"
  end

  # What is half told of one cut is never told of the next; whoever comes back to it finds it there.
  def test_what_was_half_told_of_a_cut_is_not_told_of_the_next
    at_the_table
    unfold "It went wrong"
    fill_in "wrong-from", with: "41"
    click_on "It is cut"
    assert_selector ".table-head p", text: "1 of 8 cut"
    unfold "It went wrong"
    assert_field "wrong-from", with: ""
    visit current_path
    unfold "It went wrong"
    assert_field "wrong-from", with: ""
    fill_in "wrong-from", with: "42"
    unfold "There is a flaw here"
    fill_in "flaw-from", with: "here"
    click_on "Keep the flaw and plan again"
    assert_selector ".problem"
    visit "/shelf"
    assert_selector "h1", text: "Shelf"
    page.go_back
    assert_field "wrong-from", with: "42"
    assert_field "flaw-from", with: "here"
  end

  # A form that is shown anew keeps what is half typed in it, unless it has become one about another cut.
  def test_a_form_that_becomes_one_about_another_cut
    at_the_table
    unfold "It went wrong"
    fill_in "wrong-from", with: "41"
    shown_anew("form[action$='/wrong']")
    assert_field "wrong-from", with: "41"
    shown_anew("form[action$='/wrong']", cut: "999")
    assert_field "wrong-from", with: ""
  end

  def test_a_flaw_at_the_table_plans_the_rest_again
    at_the_table
    click_on "It is cut"
    assert_selector ".table-head p", text: "1 of 8 cut"
    find("summary", text: "There is a flaw here").click
    within(find("details", text: "There is a flaw here")) do
      fill_in "Flaw from", with: "60"
      fill_in "to", with: "66"
      fill_in "Flaw", with: "hole"
      click_on "Keep the flaw and plan again"
    end
    assert_selector ".table-head p", text: "1 of 8 cut"
    assert_no_selector ".huge b", text: /\A320\.0/
  end

  def test_a_touched_cut_shows_where_it_hangs
    go "Residents' lounge", "Cutting"
    find(".bolt a", text: "R 1 A", match: :first).click
    assert_selector ".touched .big", text: "Right, width 1"
    assert_selector ".touched .strip.here", count: 1
    assert_selector ".bolt .chosen", count: 1
    assert_accessible
  end

  def test_a_flaw_is_told_on_the_drawing_and_drawn_along_it
    visit "/shelf"
    click_link "R2"
    ground = find(".flawing .ground", match: :first)
    page.driver.browser.action.move_to(ground.native, -100, 0).click.perform
    assert_field "Flaw from", with: /\A\d+ mm\z/
    fill_in "Flaw", with: "knot"
    click_on "Keep the flaw"
    assert_selector ".flaw-list li", text: "knot", count: 1
    before = find(".flaw-list b").text
    page.driver.browser.action.click_and_hold(find(".flawing .flaw .notch").native).move_by(120, 0).release.perform
    assert_selector ".history li", text: "A flaw was moved"
    refute_equal before, find(".flaw-list b").text
    click_on "It is none", match: :first
    assert_no_selector ".flaw-list li"
  end

  # The page's own styles mustn't reach into the drawing: what is seen is to scale.
  def test_the_shelfs_bars_are_seen_to_scale
    visit "/shelf"
    assert_selector ".piece-bar .piece-left", minimum: 5, visible: :all
    seen = page.evaluate_script(
      "Array.from(document.querySelectorAll('.pieces tbody tr')).map(function (row) { return " \
        "[parseFloat(row.querySelector('td b').textContent), " \
        "row.querySelector('.piece-left').getBoundingClientRect().width]; })"
    )
    longest = seen.max_by(&:first)
    seen.each { |metres, width| assert_in_delta metres / longest.first, width / longest.last, 0.02 }
  end

  def test_a_piece_is_received_and_the_plan_uses_it
    go "Ferrymaster's bedroom", "Cutting"
    within(first(".bolt-of")) { click_on "Receive a piece" }
    fill_in "Length as delivered", with: "40 m"
    fill_in "Batch (dye lot)", with: "5"
    click_on "Put it on the shelf"
    assert_selector "h1", text: "Piece P1"
    go "Ferrymaster's bedroom", "Cutting"
    assert_selector ".piece-of h3", text: "P1"
  end

  def test_what_is_folded_away_is_there_for_everyone
    go "Residents' lounge", "Cutting"
    all("details.plan-more").each { |more| more.find("summary", match: :first).click }
    assert_accessible
  end

  def test_the_table_on_a_phone
    Browser.size(page, 390, 844)
    at_the_table
    assert_selector ".huge b", text: "310.4"
    assert page.evaluate_script("document.documentElement.scrollWidth <= 390"), "the page is wider than the phone"
    assert_operator find("button.huge-act").native.size.height, :>=, 60
  end

  private

  # How long the longest cut is drawn, in points of the screen.
  def longest_cut
    page.evaluate_script(
      "Math.max(...[...document.querySelectorAll('.bolt rect.cut')].map(cut => cut.getBoundingClientRect().width))"
    ).to_f
  end

  # The first cloth's plan of the lounge, with none of it cut.
  def at_the_table
    go "Residents' lounge", "Cutting"
    within(first(".bolt-of")) { click_on "Take this plan to the table" }
  end

  # As an answer shows a form: with nothing typed in it, about the same cut or another.
  def shown_anew(form, **hidden)
    page.execute_script(<<~JS, form, hidden)
      var form = document.querySelector(arguments[0]);
      var fresh = new DOMParser().parseFromString(form.outerHTML, "text/html").forms[0];
      Object.entries(arguments[1]).forEach(function (pair) { fresh.elements[pair[0]].value = pair[1]; });
      Idiomorph.morph(form, fresh, { morphStyle: "outerHTML" });
    JS
  end

  def figure_height = page.evaluate_script("parseFloat(getComputedStyle(document.querySelector('.huge b')).fontSize)")
end
