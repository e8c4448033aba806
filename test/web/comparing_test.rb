# frozen_string_literal: true

require "web_test_helper"
require "pdf-reader"
require "stringio"

# Comparing at the desk: all choices side by side, the room's curtains together, two people's versions, and what the
# job needs.
class ComparingTest < WebTest
  def test_every_choice_is_reckoned_and_one_click_takes_it
    get station(office, "compare")
    assert_equal 200, last_response.status
    assert_match(/3 widths to each curtain.*sideways.*Wave/m, text)
    save(office, "cloth", "run" => "railroad")
    assert_equal "railroad", office.treatments.first.spec["run"]
    save(office, "cloth", "heading.kind" => "wave")
    assert_equal "wave", office.treatments.first.spec.dig("heading", "kind")
  end

  # What the page shows for another heading is what comes of taking it.
  def test_what_is_shown_is_what_is_taken
    lounge = job("Residents' lounge")
    get station(lounge, "compare")
    last_response.body.scan(%r{name="heading.kind" value="(\w+)"}).flatten.each do |kind|
      shown = row(kind)
      save(job("Residents' lounge"), "cloth", "heading.kind" => kind)
      get station(job("Residents' lounge"), "compare")
      assert_equal shown, last_response.body[/<tr class="chosen">.*?<b>([\d.]+ m)</m, 1], kind
      save(job("Residents' lounge"), "cloth", "heading.kind" => "hand_pleat")
      send_form(
        station(job("Residents' lounge"), "take-back"),
        "version" => job("Residents' lounge").treatments.first.version.to_s,
        "station" => "cloth"
      )
      send_form(
        station(job("Residents' lounge"), "take-back"),
        "version" => job("Residents' lounge").treatments.first.version.to_s,
        "station" => "cloth"
      )
      assert_equal lounge.treatments.first.spec, job("Residents' lounge").treatments.first.spec
      get station(lounge, "compare")
    end
  end

  def test_a_count_of_pleats_is_taken_by_its_number
    lounge = job("Residents' lounge")
    save(lounge, "cloth", "heading.pleats" => "14")
    assert_equal 14, job("Residents' lounge").treatments.first.spec.dig("heading", "pleats")
  end

  def test_a_count_is_asked_of_no_heading_that_has_none
    save(office, "cloth", "heading.pleats" => "14")
    assert_nil office.treatments.first.spec.dig("heading", "pleats")
  end

  def test_a_stop_is_said_beside_the_choice
    get station(job("Residents' lounge"), "compare")
    assert_match(/sideways\s+Run sideways, the cloth covers 137.0 cm/, text)
  end

  def test_the_rooms_windows_are_drawn_together_and_level
    lounge = job("Residents' lounge")
    get "#{station(lounge, "cloth")}?part=room"
    assert_match(/level at the hem across the room/, text)
    assert_equal 3, last_response.body.scan("<clipPath").size
    second = lounge.treatments.last
    send_form(
      "/jobs/#{lounge.id}/treatments/#{second.id}/cloth",
      "version" => second.version.to_s,
      "unit" => "cm",
      "pattern.place" => "top"
    )
    get "#{station(lounge, "cloth")}?part=room"
    assert_match(/isn't level across the room/, text)
  end

  def test_the_second_of_two_people_sees_both_versions_and_loses_nothing
    shown = office.treatments.first.version
    save(office, "measure", "overlap" => "10")
    send_form(
      station(office, "measure"),
      "version" => shown.to_s,
      "unit" => "cm",
      "overlap" => "12",
      "ease" => "2",
      "support.length" => "180"
    )
    assert_equal 409, last_response.status
    assert_match(/Overlap, in all 12 10 Take mine/, text.squeeze(" ").gsub(/\s+/, " "))
    assert_equal ["10 cm", "2 cm"],
      office.treatments.first.spec.values_at("overlap", "ease"),
      "where they touched different fields, both win"
    refute_match(/Usable length 180 180/, text)
    save(office, "measure", "overlap" => "12")
    assert_equal "12 cm", office.treatments.first.spec["overlap"]
  end

  def test_versions_across_a_changed_heading_are_told_too
    shown = office.treatments.first.version
    save(office, "heading", "heading.kind" => "wave")
    send_form(
      station(office, "heading"),
      "version" => shown.to_s,
      "unit" => "cm",
      "heading.hook_spacing" => "9",
      "heading.top_turn" => "5"
    )
    assert_equal 409, last_response.status
    assert_match(/Top turn 5 9.0 Take mine/, text)
  end

  def test_the_needs_come_as_pdf_with_the_figures_of_the_page
    get "/jobs/#{office.id}/needs.pdf"
    assert_equal "application/pdf", last_response.content_type
    read = PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join.gsub(/\s+/, "")
    assert_match(/Ferrycottontwillface931\.29\.4m202\.10/, read)
    assert_match(/Weights630/, read)
  end

  def test_a_name_that_the_fonts_cannot_write_never_loses_the_paper
    workroom.cloths.update(
      Integer(office.treatments.first.spec["face"], 10),
      {"name" => "帆 =1+1", "use" => "face", "width" => "140 cm"},
      colour: "#ffffff",
      version: 0
    )
    get "/jobs/#{office.id}/needs.pdf"
    assert_equal 200, last_response.status
  end

  def test_small_parts_are_held_against_what_is_on_hand
    get station(office, "heading")
    assert_match(/Hooks 28 28 140 enough/, text)
    workroom.house.update(version: workroom.house.read.version, on_hand: {"hooks" => 20})
    get station(office, "heading")
    assert_match(/Hooks 28 28 20 8 /, text)
    assert_match(/28 hooks are needed for the job and 20 are on hand: order 8 now/, text)
    assert_match(/not counted/, text)
  end

  private

  def row(kind) =
    last_response.body[
      %r{<tr class="">(?:(?!<tr).)*?<b>([\d.]+ m)</b>(?:(?!<tr).)*?name="heading.kind" value="#{kind}"}m,
      1
    ]
end
