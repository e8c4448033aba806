# frozen_string_literal: true

require "system_test_helper"
require "pdf-reader"

# A newcomer's first window, in the real browser: typed with nothing but what must be given, from an empty workroom to
# the account.
class NewcomerTest < SystemTest
  def setup
    super
    [:papers, :jobs, :cloths].each { |table| workroom.rows(table).delete }
    [:papers, :paper_numbers].each { |table| workroom.rows(table).delete }
  end

  def test_a_length_a_drop_and_a_cloth_reach_the_hanging_sheet_and_the_account
    open_job
    fill_in "Room", with: "Boat shed"
    click_on "Measure it"
    type "Usable length", "180"
    type "Drop, left", "210"
    click_link "On to Heading"
    assert_selector ".results", text: "flat width asked"
    click_link "On to Cloth"
    click_link "Bring in a cloth"
    fill_in "Name", with: "Sailcloth"
    fill_in "Width", with: "140"
    click_on "Keep it, and take it for the window"
    assert_figure "cut_drop", /\d/
    click_link "On to Cutting"
    every_station
    click_button "Write invoice"
    assert_selector ".rule-sets li", text: "Invoice 1"
  end

  # Every optional figure of the drop's own: a fourth reading, points, and nothing else.
  def test_a_fourth_reading_and_an_offset_left_empty
    open_job
    fill_in "Room", with: "Boat shed"
    click_on "Measure it"
    type "Usable length", "180"
    {
      "Drop, left" => "210",
      "Drop, middle" => "210.5",
      "Drop, right" => "211",
      "Drop 4" => "209"
    }.each do |label, figure|
      type label, figure
    end
    assert_selector ".results", text: "209.0"
    type "Drop 5", "208"
    assert_selector ".results", text: "208.0"
    visit current_path
    assert_field "Drop 5", with: "208"
  end

  def test_a_customers_curtain_with_its_two_lengths
    open_job
    fill_in "Curtains", with: "Pantry"
    select "Shortened at the hem", from: "Alteration"
    click_on "Take it in"
    type "As it is, top to hem", "200"
    type "Wanted", "180"
    select "double", from: "Hem as it is"
    type "its depth", "6"
    find(".tape a", text: "Alter").click
    assert_selector ".drawing.altered"
    %w[Making Hanging Account].each do |station|
      find(".tape a", text: station).click
      assert_no_text "A stitch was dropped"
      page.go_back if station == "Account"
    end
  end

  private

  def open_job
    visit "/jobs"
    fill_in "House or room", with: "Boat shed"
    click_on "Open the job"
  end

  def every_station
    %w[Making Hanging].each do |station|
      find(".tape a", text: station).click
      assert_selector ".tape a[aria-current]", text: station
      assert_no_text "A stitch was dropped"
      papers
    end
    find(".tape a", text: "Making").click
    click_link "To the bench"
    assert_selector ".huge"
    page.go_back
    find(".tape a", text: "Account").click
    assert_selector ".grand b", text: /\d/
  end

  # What a page links to comes as a paper with something on it.
  def papers
    all("a[href$='.pdf']").map { |link| link[:href] }.each do |address|
      answer = Net::HTTP.get_response(URI(address))
      assert_equal "200", answer.code, address
      assert_match(/\w{3}/, PDF::Reader.new(StringIO.new(answer.body)).pages.first.text, address)
    end
  end
end
