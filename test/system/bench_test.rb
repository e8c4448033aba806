# frozen_string_literal: true

require "system_test_helper"

# A curtain made at the bench on a tablet: read from afar, ticked, measured, and nothing lost when the line goes down.
class BenchInTheBrowserTest < SystemTest
  def setup
    super
    Browser.size(page, 1024, 768)
  end

  def teardown
    line(down: false)
    super
  end

  def test_a_whole_curtain_is_made
    go "Ticket office", "Making"
    assert_accessible
    click_on "To the bench"
    steps = find(".table-head p").text[/of (\d+)/, 1].to_i
    assert_operator page.evaluate_script("parseFloat(getComputedStyle(document.querySelector('.huge b')).fontSize)"),
      :>=,
      64
    assert_accessible
    (1..steps).each do |number|
      assert_selector ".table-head p", text: "step #{number} of #{steps}"
      ticks = [all(".in-turn li", minimum: 0).size, 1].max
      ticks.times do |tick|
        assert_selector ".in-turn .ticked", count: tick if ticks > 1
        click_on "It is done"
      end
    end
    assert_button "It isn't done after all"
    click_on "Back to Making"
    assert_selector ".results p", text: "#{steps} of #{steps}"
    assert_selector ".steps li.done", count: steps
  end

  def test_the_arrows_turn_the_steps
    go "Ticket office", "Making"
    click_on "To the bench"
    assert_selector ".table-head p", text: "step 1 of"
    find("body").send_keys(:arrow_right)
    assert_selector ".table-head p", text: "step 2 of"
    find("body").send_keys(:arrow_left)
    assert_selector ".table-head p", text: "step 1 of"
  end

  def test_a_measure_outside_says_what_can_still_be_done
    go "Ticket office", "Making"
    click_link "Measure the drop", match: :first
    fill_in "Left at the leading edge", with: "213.6"
    click_on "Keep it", match: :first
    assert_selector ".verdict.wrong", text: "a new press line, not a tragedy"
    fill_in "Left at the leading edge", with: "212.9"
    click_on "Keep it", match: :first
    assert_selector ".verdict.right"
    assert_text "Measured before: 213.6 cm"
  end

  def test_a_pair_that_differs_is_told_before_its_hems_are_sewn
    go "Ticket office", "Making"
    click_link "Compare before sewing", match: :first
    fill_in "at the return edge", with: "8 mm"
    click_on "Keep it", match: :first
    assert_selector ".verdict.wrong", text: "Find which of the two is off its figure"
    fill_in "at the return edge", with: "2 mm"
    click_on "Keep it", match: :first
    assert_selector ".verdict.right"
  end

  # The line goes down between typing and sending: what was typed is kept and sent when it is back.
  def test_what_was_typed_is_kept_while_the_line_is_down
    go "Ticket office", "Making"
    click_link "Measure the drop", match: :first
    line(down: true)
    fill_in "Left at the leading edge", with: "212.7"
    click_on "Keep it", match: :first
    assert_text "Kept here, and sent as soon as it does: Keep it: 212.7"
    assert_field "Left at the leading edge", with: "212.7"
    line(down: false)
    assert_selector ".verdict.right", text: "212.7 cm"
    assert_settled
  end

  def test_what_was_kept_and_cannot_be_taken_is_told
    go "Ticket office", "Making"
    click_link "Measure the drop", match: :first
    line(down: true)
    fill_in "Left at the leading edge", with: "about right"
    click_on "Keep it", match: :first
    assert_text "Kept here"
    line(down: false)
    assert_selector ".problem", text: "length"
    assert_field "Left at the leading edge", with: "about right"
  end

  private

  def line(down:)
    page.driver.browser.execute_cdp("Network.enable")
    page.driver.browser.execute_cdp(
      "Network.emulateNetworkConditions",
      offline: down,
      latency: 0,
      downloadThroughput: -1,
      uploadThroughput: -1
    )
  end
end
