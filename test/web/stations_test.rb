# frozen_string_literal: true

require "web_test_helper"
require "nokogiri"

# The four stations: what is typed is saved, what can't be read stays where it was typed.
class StationsTest < WebTest
  def test_the_cloth_station_shows_the_figures
    get station(office, "cloth")
    assert_equal 200, last_response.status
    assert_match(/232\.8/, text)
    assert_match(/9\.4 m/, text)
  end

  def test_a_changed_reading_is_saved_as_typed_and_reckoned
    save(office, "measure", "drop.readings.left" => "7' 0\"")
    assert_equal 303, last_response.status
    assert_equal "7' 0\"", office.treatments.first.spec["drop"]["readings"].first
    get station(office, "measure")
    assert_match(/212\.4/, text)
  end

  def test_what_cannot_be_read_stays_in_the_field_with_one_line
    save(office, "measure", "drop.readings.left" => "about two metres")
    assert_equal 422, last_response.status
    assert_includes last_response.body, 'value="about two metres"'
    assert_match(/can't be read as a length/, text)
    assert_equal "214 cm", office.treatments.first.spec["drop"]["readings"].first
  end

  def test_one_bad_field_does_not_lose_a_good_one
    save(office, "measure", "drop.readings.left" => "x", "overlap" => "12")
    assert_equal 422, last_response.status
    assert_equal "12 cm", office.treatments.first.spec["overlap"]
  end

  {
    "0" => /more than nothing/,
    "-5" => /more than nothing/,
    "40 m" => /more than any window hangs/
  }.each do |typed, words|
    define_method(:"test_a_drop_of_#{typed}_has_its_own_message") do
      save(office, "measure", "drop.readings.left" => typed)
      assert_equal 422, last_response.status
      assert_match words, text
      assert_equal "214 cm", office.treatments.first.spec["drop"]["readings"].first
    end
  end

  def test_the_last_reading_cannot_be_taken_away
    save(office, "measure", "drop.readings.left" => "", "drop.readings.middle" => "")
    assert_equal ["213.8 cm"], office.treatments.first.spec["drop"]["readings"]
    save(office, "measure", "drop.readings.right" => "")
    assert_equal 422, last_response.status
    assert_match(/at least one drop/, text)
    assert_equal ["213.8 cm"], office.treatments.first.spec["drop"]["readings"]
  end

  def test_an_offset_that_leaves_nothing_to_hang_is_refused
    save(office, "measure", "drop.offset" => "-199 cm")
    save(office, "measure", "drop.stand_up" => "-150 cm")
    assert_equal 422, last_response.status
    assert_match(/nothing to hang/i, text)
  end

  def test_a_length_shown_in_the_other_unit_is_not_changed_by_saving
    workroom.jobs.set_unit(office.id, "in")
    shown = office
    get station(shown, "measure")
    fields =
      last_response
        .body
        .scan(/<input id="[^"]+" name="([^"]+)" value="([^"]*)"/)
        .to_h
        .transform_values { |value| CGI.unescapeHTML(value) }
    before = shown.treatments.first
    assert_equal "70 7/8", fields["support.length"]
    save(shown, "measure", **fields)
    assert_equal before, office.treatments.first
  end

  def test_fullness_is_read_three_ways
    {
      "2.25" => "2.25",
      "225 %" => {"percent_total" => "225"},
      "+125 %" => {"percent_added" => "125"}
    }.each do |typed, stored|
      save(office, "heading", "heading.fullness" => typed)
      assert_equal stored, office.treatments.first.spec["heading"]["fullness"]
      get station(office, "heading")
      assert_match(/100\.0 × 2\.25/, text)
    end
  end

  def test_a_choice_of_widths_is_taken_and_given_back
    save(office, "cloth", "making.widths" => "1.5")
    get station(office, "cloth")
    assert_match(/1½\s+widths\s+1\.94\s+chosen/, text)
    save(office, "cloth", "making.widths" => "")
    assert_nil office.treatments.first.spec["making"]["widths"]
  end

  def test_a_lining_starts_from_the_house_rules_and_can_be_left_out
    lining = workroom.cloths.all.find { |cloth| cloth.spec["use"] == "lining" }
    save(office, "cloth", "lining.cloth" => lining.id.to_s)
    assert_equal "2.5 cm", office.treatments.first.spec["lining"]["lift"]
    save(office, "cloth", "lining.cloth" => "")
    refute office.treatments.first.spec.key?("lining")
  end

  # What can hardly be meant is asked, and offered as it may have been meant.
  {
    "75 %" => ["+75 %", "1.75"],
    "60%" => ["+60 %", "1.6"],
    "50" => ["+50 %", "1.5"],
    "220" => ["220 %", "2.2"],
    "0.75" => nil,
    "0,5" => nil
  }.each do |typed, (offer, ratio)|
    define_method(:"test_a_fullness_of_#{typed}_is_asked_about") do
      before = office.treatments.first.spec.dig("heading", "fullness")
      save(office, "heading", "heading.fullness" => typed, :headers => {"HX-Request" => "true"})

      assert_equal 422, last_response.status
      assert_equal before, office.treatments.first.spec.dig("heading", "fullness")
      assert_includes last_response.body, %(value="#{typed}")
      next unless offer

      assert_match(/#{Regexp.escape(ratio)} times/, text)
      offered = last_response.body[/name="heading.fullness"\s+value="([^"]+)"\s*>Take/, 1]
      save(office, "heading", "heading.fullness" => CGI.unescapeHTML(offered))

      assert_equal offer,
        EarnestFold::Work::SpecFields.shown(
          "heading.fullness",
          office.treatments.first.spec,
          EarnestFold::Reckoning::Units::CM
        )
    end
  end

  def test_a_fullness_that_is_plain_is_taken
    ["2.2", "+75 %", "220 %", "1", "10"].each do |typed|
      save(office, "heading", "heading.fullness" => typed)
      assert_equal 303, last_response.status, typed
    end
  end

  def test_a_cloth_of_another_workroom_is_refused
    stranger = other_workroom.cloths.create(
      {"name" => "Theirs", "use" => "face", "width" => "140 cm"},
      colour: "#aaaaaa"
    )
    save(office, "cloth", "face" => stranger.to_s)
    assert_equal 422, last_response.status
  end

  def test_what_nobody_is_asked_for_is_not_read
    before = office.treatments.first.spec
    save(office, "heading", "id" => "7", "kind" => "lengthen", "way" => "across_width", "heading" => "x", "no" => "1")
    assert_equal before, office.treatments.first.spec
  end

  def test_a_change_made_meanwhile_is_told_and_kept
    stale = office
    save(stale, "measure", "overlap" => "10")
    save(stale, "measure", "overlap" => "99")
    assert_equal 409, last_response.status
    assert_match(/Someone else changed the same field/, text)
    assert_equal "10 cm", office.treatments.first.spec["overlap"]
  end

  def test_htmx_gets_the_desk_alone
    save(office, "measure", "overlap" => "10", :headers => {"HX-Request" => "true"})
    assert_equal 200, last_response.status
    assert last_response.body.start_with?('<div id="desk"')
    refute_includes last_response.body, "<html"
  end

  def test_a_stop_stands_at_its_station
    landing = job("Upper landing")
    get station(landing, "heading")
    assert_match(/25 carriers are needed and 20 are on hand/, text)
    get station(landing, "measure")
    refute_match(/carriers are needed/, text)
  end

  def test_the_ticket_has_every_cut
    get station(job("Upper landing"), "ticket")
    assert_match(/10 ?1\/2.*110 ?1\/2.*210 ?1\/2.*310 ?1\/2/m, text)
    assert_match(/88 ?1\/2/, text)
  end

  def test_a_window_not_measured_says_what_is_wanting
    send_form("/jobs/#{office.id}/windows", "room" => "Ticket office", "name" => "Back window")
    follow_redirect!
    assert_match(/Still wanted.*length of the support.*drop reading/m, text)
    fresh = office.treatments.last
    %w[heading cloth cutting ticket].each do |name|
      get "/jobs/#{office.id}/treatments/#{fresh.id}/#{name}"
      assert_equal 200, last_response.status
    end
  end

  EarnestFold::Reckoning::Headings.names.each do |kind|
    define_method(:"test_the_heading_#{kind}_is_chosen_drawn_and_reckoned") do
      save(office, "measure", "support.kind" => "pole")
      save(office, "heading", "heading.kind" => kind, "heading.hook_spacing" => "12")
      assert_equal 303, last_response.status
      assert_equal kind, office.treatments.first.spec["heading"]["kind"]
      get station(office, "heading")
      assert_match(/class="drawing (heading-marks|gathers)"/, last_response.body)
      refute_match(/Still wanted/, text)
      %w[measure cloth cutting ticket].each do |name|
        get station(office, name)
        assert_equal 200, last_response.status
      end
    end
  end

  def test_a_count_of_pleats_is_taken_and_given_back
    save(office, "heading", "heading.kind" => "hand_pleat")
    save(office, "heading", "heading.pleats" => "9")
    get station(office, "heading")
    assert_match(/9\s+pleats.*chosen/m, text)
    save(office, "heading", "heading.pleats" => "")
    get station(office, "heading")
    assert_match(/pleats\s+10/, text)
  end

  def test_lists_and_flags_of_a_heading_are_kept
    save(office, "heading", "heading.kind" => "pleater_hook")
    save(office, "heading", "heading.skips" => "2, 2")
    assert_equal [2, 2], office.treatments.first.spec["heading"]["skips"]
    save(office, "heading", "heading.skips" => "2, none")
    assert_equal 422, last_response.status
    save(office, "heading", "heading.kind" => "hand_pleat")
    save(office, "heading", "heading.hide_seams" => "yes")
    assert_equal true, office.treatments.first.spec["heading"]["hide_seams"]
    save(office, "heading", "heading.buckram" => "")
    assert_equal 422, last_response.status
    assert_equal "12.5 cm", office.treatments.first.spec["heading"]["buckram"]
  end

  def test_a_kind_that_is_none_is_refused
    save(office, "heading", "heading.kind" => "curtain_of_mist")
    assert_equal 422, last_response.status
    assert_equal "pencil_pleat", office.treatments.first.spec["heading"]["kind"]
  end
end
