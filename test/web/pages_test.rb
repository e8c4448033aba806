# frozen_string_literal: true

require "minitest/mock"
require "web_test_helper"
require "csv"

# Jobs, windows and cloths through their forms.
class PagesTest < WebTest
  def test_a_job_needs_a_name_and_keeps_what_was_typed
    send_form("/jobs", "title" => "  ", "unit" => "in")
    assert_equal 422, last_response.status
    assert_match(/Give the job a name/, text)
    assert_match(/value="in" selected/, last_response.body)
  end

  def test_an_empty_workroom_teaches_the_first_step
    [:papers, :jobs, :cloths].each { |table| workroom.rows(table).delete }
    get "/jobs"
    assert_match(/There is no job yet/, text)
    get "/cloths"
    assert_match(/No cloth in the book yet/, text)
  end

  def test_a_window_needs_some_name
    send_form("/jobs/#{office.id}/windows", "room" => "", "name" => "")
    assert_equal 422, last_response.status
    assert_match(/Name the room or the window/, text)
  end

  def test_a_cloth_narrower_than_its_selvedges_is_refused_with_its_figures_kept
    send_form("/cloths", "name" => "Slip", "use" => "face", "width" => "4", "selvedge" => "2")
    assert_equal 422, last_response.status
    assert_match(/selvedges take up the whole width/, text)
    assert_includes last_response.body, 'value="Slip"'
  end

  def test_every_faulty_field_of_a_cloth_has_its_line
    send_form(
      "/cloths",
      "name" => "",
      "use" => "face",
      "width" => "wide",
      "shrink_percent" => "60",
      "price" => "cheap",
      "match" => "half_drop"
    )
    assert_equal 422, last_response.status
    assert_match(/Give the cloth a name/, text)
    assert_match(/an't be read as a length/, text)
    assert_match(/from 0 to under 50/, text)
    assert_match(/price per metre/, text)
  end

  def test_a_cloth_brought_in_from_a_window_is_taken_there
    made = workroom.windows(office.id).add(
      room: "Yard",
      name: "",
      spec: house_set.applied(S::StartingRules::UNMEASURED, EarnestFold::Reckoning::Units::CM)
    )
    cloth = "/jobs/#{office.id}/treatments/#{made}/cloth"
    get cloth
    assert_includes last_response.body, "/cloths/new?for=#{cloth}"
    {"face" => %w[face], "lining" => %w[lining cloth], "interlining" => %w[interlining cloth]}.each do |use, place|
      get "/cloths/new", "for" => cloth
      assert_includes last_response.body, %(name="for" value="#{cloth}")
      send_form("/cloths", "name" => "For the #{use}", "use" => use, "width" => "140", "for" => cloth)
      assert_equal cloth, URI(last_response.headers["Location"]).path
      taken = office.treatments.last.spec.dig(*place)
      assert_equal "For the #{use}", workroom.cloths.find(Integer(taken, 10)).spec["name"]
    end
    send_form(
      "/cloths",
      "name" => "Nowhere",
      "use" => "face",
      "width" => "140",
      "for" => "https://evil.example/jobs/1/treatments/1/cloth"
    )
    assert_equal "/cloths", URI(last_response.headers["Location"]).path
  end

  def test_a_cloth_is_kept_as_typed_and_changed
    send_form(
      "/cloths",
      "name" => "Mudbank canvas",
      "use" => "face",
      "width" => "54 1/2 in",
      "selvedge" => "1",
      "one_way" => "yes",
      "match" => "straight",
      "colour" => "#a0b0c0"
    )
    assert_equal 303, last_response.status
    made = workroom.cloths.all.find { |cloth| cloth.spec["name"] == "Mudbank canvas" }
    assert_equal ["54 1/2 in", "1 cm", true], made.spec.values_at("width", "selvedge", "one_way")
    send_form(
      "/cloths/#{made.id}",
      "name" => "Mudbank canvas",
      "use" => "face",
      "width" => "55 in",
      "match" => "straight",
      "version" => "0"
    )
    assert_equal "55 in", workroom.cloths.find(made.id).spec["width"]
    send_form(
      "/cloths/#{made.id}",
      "name" => "Other",
      "use" => "face",
      "width" => "50 in",
      "match" => "straight",
      "version" => "0"
    )
    assert_equal 409, last_response.status
    assert_includes last_response.body, 'value="Other"'
  end

  def test_the_needs_of_a_job_as_a_list_without_formulas
    workroom.cloths.update(
      workroom.cloths.all.find { |cloth| cloth.spec["name"] == "Ferry cotton twill" }.id,
      {"name" => "=1+1", "use" => "face", "width" => "140 cm", "selvedge" => "1 cm", "price" => "21.50"},
      colour: "#aaaaaa",
      version: 0
    )
    get "/jobs/#{office.id}/needs.csv"
    rows = CSV.parse(last_response.body)
    assert_equal ["'=1+1", "face", "931.2", "cm", "9.4 m", "202.10"], rows[1]
    assert_includes rows, ["Weights", "", "6", "", "", ""]
    assert_includes rows, ["Tape", "", "538.0", "cm", "", ""]
  end

  def test_the_read_back_names_both_ends_in_both_units
    save(office, "measure", "drop.measured_from" => "glider_eye", "drop.measured_to" => "floor")
    get "/jobs/#{office.id}/read-back"
    assert_match(/Drop, left: from the glider's eye to the floor\s+214 cm\s+214\.0 cm\s+84 1\/4 in/, text)
    get "/measure-sheet"
    assert_match(/Usable length/, text)
  end

  def test_no_path_is_declared_twice
    app.routes.each_value do |routes|
      paths = routes.map { |route| route.first.to_s }
      assert_equal paths.uniq, paths
    end
  end

  def test_a_screens_queries_do_not_grow_with_its_rows
    screens =
      %w[measure heading cloth compare cutting changes].map { |name| station(office, name) } +
      [
        "/today",
        "/reckon",
        "/jobs",
        "/jobs/#{office.id}",
        "/jobs/#{office.id}/read-back",
        "/jobs/#{office.id}/needs.csv",
        "/cloths",
        "/house-rules",
        "/find?q=o",
        "/jobs/archive"
      ]
    # The diary is laid anew each quarter of an hour: none ends in the middle.
    now = Time.now
    Time.stub(:now, now) do
      screens.each { |path| get path }
      before = screens.to_h { |path| [path, queries { get path }] }
      12.times do |index|
        workroom.windows(office.id).add(room: "Room #{index}", name: "", spec: office.treatments.first.spec)
      end
      5.times { |index| workroom.jobs.create(title: "Job #{index}", unit: "cm") }
      4.times do |index|
        workroom.cloths.create({"name" => "Cloth #{index}", "use" => "face", "width" => "140 cm"}, colour: "#ffffff")
      end
      save(office, "measure", "ease" => "1")
      screens.each { |path| get path }
      assert_equal before, screens.to_h { |path| [path, queries { get path }] }
    end
  end

  private

  def house_set = workroom.house.read.first_set
end
