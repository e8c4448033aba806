# frozen_string_literal: true

require "system_test_helper"

# From the tape measure to cut cloth, in the browser: a new window in a new job, in centimetres and in inches.
class FirstWindowTest < SystemTest
  # On an empty shelf the cuts lie on an endless piece.
  def setup
    super
    workroom.rows(:pieces).delete
  end

  def test_a_window_in_centimetres
    open_job("Ferry shed", "centimetres")
    add_window("Ferry shed", "Slip window")
    type "Usable length", "180"
    type "Left return", "6"
    type "Right return", "6"
    type "Overlap, in all", "8"
    type "Drop, left", "214"
    type "Drop, middle", "214,4"
    type "Drop, right", "2.138 m"
    type "Offset at foot", "-1"
    assert_figure_text "finished drop", "212.8"
    click_on "On to Heading"
    type "Fullness", "2"
    assert_selector ".results", text: "14"
    click_on "On to Cloth"
    select "Ferry cotton twill", from: "Face cloth"
    assert_figure "cut_drop", "232.8"
    assert_equal "263.0", working("2 widths")
    click_on "On to Cutting"
    assert_selector ".cuts tbody tr", count: 4
    click_on "Cut ticket for the table"
    assert_equal ["Left, width 1", "0.0", "232.8", "232.8"], cells(1)
    assert_equal ["Right, width 2", "698.4", "931.2", "232.8"], cells(4)
    assert_text "order 9.4 m"
  end

  def test_a_window_in_inches
    open_job("Loft stair", "inches")
    add_window("Loft stair", "")
    select "Pole", from: "Support"
    select "One way, stacks left", from: "Opening"
    type "Usable length", "5' 7 1/2\""
    type "Left return", "3 1/2"
    type "Drop, left", "81 3/8"
    type "Drop, right", "81¼"
    type "Stand-up", "-1 1/4"
    type "Offset at foot", "-1/2"
    assert_figure_text "finished drop", "79"
    click_on "On to Heading"
    type "Fullness", "225 %"
    type "Top turn", "1"
    type "Hook spacing", "3"
    click_on "On to Cloth"
    select "Towpath ticking", from: "Face cloth"
    assert_selector ".choice.chosen"
    select "level at the top", from: "Pattern placed"
    type "Point of pattern", "1"
    find("#fold-making summary").click
    type "Squaring", "2"
    assert_figure "cut_drop", "88"
    click_on "On to Cutting"
    click_on "Cut ticket for the table"
    assert_equal "Single, width 1", cells(1).first
    assert_equal "88 1/2", cells(1).last
    assert_equal "10 1/2", cells(1)[1]
  end

  def test_by_keyboard_alone
    visit "/jobs"
    focus "House or room"
    keys "Eel house", :tab, :tab, :enter
    assert_selector "h1", text: "Eel house"
    focus "Room"
    keys "Eel house", :tab, "Door", :tab, :enter
    assert_selector "h1", text: "Door"
    focus "Usable length"
    keys "120", :tab
    focus "Drop, left"
    keys "200", :tab
    assert_figure_text "finished drop", "200.0"
    leave_fields
    keys "3"
    assert_selector ".tape a[aria-current]", text: "Cloth"
    focus "Face cloth"
    keys "Ferry", :tab
    assert_selector ".choice.chosen"
    leave_fields
    keys "4"
    assert_selector ".cuts tbody tr"
    keys "u"
    assert_selector "#other-unit b", text: "in"
    keys "w"
    assert_selector ".working details:not([open])"
    keys "?"
    assert_selector "h1", text: "Keys and marks"
  end

  private

  def open_job(name, unit)
    visit "/jobs"
    fill_in "House or room", with: name
    select unit, from: "The tape used"
    click_on "Open the job"
  end

  def add_window(room, name)
    fill_in "Room", with: room
    fill_in "Window", with: name
    choose "Hand-finished, lined", allow_label_click: true
    click_on "Measure it"
  end

  def assert_figure_text(label, wanted) = assert_selector(".results p", text: /#{label}\s*#{wanted}/)

  def cells(row) =
    find(".cuts tbody tr:nth-child(#{row})", match: :first)
      .all("td")
      .map { |cell| cell.text.gsub(%r{(\d)(\d/)}, '\1 \2') }

  # Reaches a field as a keyboard does, from one to the next.
  def focus(label)
    wanted = find_field(label).native
    120.times do
      return if page.driver.browser.switch_to.active_element == wanted

      keys(:tab)
    end
    flunk "#{label} can't be reached by keyboard"
  end

  def leave_fields
    keys(:tab) until page.evaluate_script("!/INPUT|SELECT|TEXTAREA/.test(document.activeElement.tagName)")
  end

  def keys(*strokes) = strokes.each { |stroke| page.driver.browser.action.send_keys(stroke).perform }
end
