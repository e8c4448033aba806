# frozen_string_literal: true

require "web_test_helper"
require "nokogiri"

# The house: its rules and sets, who works here, and what is done with windows and jobs as wholes.
class HouseTest < WebTest
  # On a phone the columns stand one below the other, each with its tape.
  def test_a_set_says_at_each_figure_of_which_tape_it_is
    get "/house-rules/sets/#{workroom.house.read.sets.first.id}"
    rows = Nokogiri::HTML5(last_response.body).css(".both-tapes tbody tr")
    assert_operator rows.size, :>, 10
    assert_equal [["Metric tape", "Inch tape"]], rows.map { |row| row.css("td").map { |cell| cell["data-label"] } }.uniq
  end

  def test_a_departure_is_marked_and_taken_back
    take_set("Hand-finished, lined")
    get station(office, "cloth")
    assert_match(/by the rule/, text)
    save(office, "cloth", "making.hem.depth" => "10")
    get station(office, "cloth")
    assert_match(/departs; rule 8 back to the rule/, text)
    assert_match(/departs from Hand-finished, lined/, text)
    save(office, "cloth", "making.hem.depth" => "10", "back_to_rule" => "making.hem.depth")
    assert_equal "8 cm", office.treatments.first.spec.dig("making", "hem", "depth")
    get station(office, "cloth")
    refute_match(/departs/, text)
  end

  def test_a_figure_written_otherwise_is_no_departure
    take_set("Hand-finished, lined")
    save(office, "cloth", "making.hem.depth" => "80 mm")
    get station(office, "cloth")
    assert_equal "80 mm", office.treatments.first.spec.dig("making", "hem", "depth")
    refute_match(/departs/, text)
  end

  def test_taking_a_set_keeps_what_no_rule_decides
    save(office, "cloth", "making.widths" => "3")
    take_set("Hall")
    spec = office.treatments.first.spec
    assert_equal "15 cm", spec.dig("making", "hem", "depth")
    assert_equal ["3", "220 cm".class], [spec.dig("making", "widths"), spec.dig("drop", "readings", 0).class]
    send_form(station(office, "take-back"), "version" => office.treatments.first.version.to_s, "station" => "cloth")
    assert_equal "8 cm", office.treatments.first.spec.dig("making", "hem", "depth")
    assert_nil office.treatments.first.spec["rules"]
  end

  def test_a_changed_set_changes_no_treatment
    take_set("Hand-finished, lined")
    settle_set(set("Hand-finished, lined"), "metric.making.hem.depth" => "9")
    assert_equal "8 cm", office.treatments.first.spec.dig("making", "hem", "depth")
    get station(office, "cloth")
    assert_match(/departs; rule 9/, text)
  end

  def test_an_inch_job_takes_the_inch_figures_and_metric_where_there_are_none
    landing = job("Upper landing")
    save(landing, "cloth", "rules" => set("Hall").id.to_s)
    making = job("Upper landing").treatments.first.spec["making"]
    assert_equal ["6 in", "full_widths"], [making.dig("hem", "depth"), making["trim"]]
  end

  def test_a_set_is_copied_renamed_and_refuses_nonsense
    send_form("/house-rules/sets", "like" => set("Unlined").id.to_s)
    copy = set("Unlined, 2")
    assert_equal set("Unlined").spec, copy.spec
    settle_set(
      copy,
      "name" => "Attic sheers",
      "metric.making.seam" => "12 mm",
      "inches.headings.wave.glider_spacing" => "3 1/4"
    )
    assert_equal ["12 mm", "3 1/4 in"],
      [
        set("Attic sheers").spec.dig("metric", "making", "seam"),
        set("Attic sheers").spec.dig("inches", "headings", "wave", "glider_spacing")
      ]
    settle_set(set("Attic sheers"), "metric.making.seam" => "wide", "name" => "Hall")
    assert_equal 422, last_response.status
    assert_includes last_response.body, 'value="wide"'
    settle_set(set("Attic sheers"), "name" => "Hall")
    assert_match(/name of another set/, text)
    post_stale("/house-rules/sets/#{set("Hall").id}", "name" => "Hall", "metric.making.seam" => "3")
    assert_equal 409, last_response.status
    assert_equal "2 cm", set("Hall").spec.dig("metric", "making", "seam")
  end

  def test_the_house_decides_its_gaps_and_its_eighths
    settle_house(
      "rules.layer_gap" => "4",
      "rules.inch_fraction" => "8",
      "on_hand.hooks" => "36",
      "on_hand.tape_length" => "12 m",
      "on_hand.rings" => "",
      "on_hand.gliders" => "",
      "on_hand.weights" => "",
      "on_hand.buckram_length" => "",
      "name" => "Saltmarsh Lane Curtains",
      "unit" => "cm"
    )
    house = workroom.house.read
    assert_equal [EarnestFold::Reckoning::Length.cm(4), 8], [house.rules.layer_gap, house.rules.unit("in").fraction]
    assert_equal({"hooks" => 36, "tape_length" => "12 m"}, house.on_hand.to_h)
    settle_house("rules.layer_gap" => "far", "on_hand.hooks" => "some", "name" => "", "unit" => "furlong")
    assert_equal 422, last_response.status
    assert_equal 4, last_response.body.scan('class="problem"').size
    post_stale("/house-rules", "name" => "Another", "unit" => "in")
    assert_equal 409, last_response.status
  end

  def test_the_schools_say_what_each_set_says
    get "/house-rules/schools"
    assert_match(/Hems: double or single.*Hand-finished, lined double 8 cm.*Hall double 15 cm/m, text)
    assert_match(/says nothing/, text)
  end

  def test_a_change_says_whose_it_was
    env SignedIn::KEY, SignedIn.owner(workroom).with(name: "Wyn Sluice")
    save(office, "measure", "ease" => "2")
    get station(office, "changes")
    assert_match(/Wyn Sluice Ease/, text)
  end

  def test_a_layer_behind_shares_the_window_and_is_held_against_the_front
    save(office, "measure", "wall.radiator.width" => "90")
    send_form(station(office, "layer"), "side" => "behind")
    sheer, front = office.windows.first.treatments
    assert_equal [front.spec["drop"], front.spec["wall"], "sheer behind"],
      [sheer.spec["drop"], sheer.spec["wall"], sheer.spec["name"]]
    get "/jobs/#{office.id}/treatments/#{front.id}/measure"
    assert_match(/Another layer hangs behind/, text)
    send_form(
      "/jobs/#{office.id}/treatments/#{sheer.id}/measure",
      "version" => "0",
      "unit" => "cm",
      "support.projection" => "6"
    )
    get "/jobs/#{office.id}/treatments/#{front.id}/measure"
    assert_match(/doesn't clear it/, text)
    send_form("/jobs/#{office.id}/treatments/#{front.id}/move", "move" => "layer-before")
    assert_equal [front.id, sheer.id], office.windows.first.treatments.map(&:id)
  end

  def test_windows_move_and_nothing_is_thrown_away
    workroom.windows(office.id).add(room: "Ticket office", name: "Yard window", spec: office.treatments.first.spec)
    first, second = office.treatments.map(&:id)
    send_form("/jobs/#{office.id}/treatments/#{second}/move", "move" => "window-before")
    assert_equal [second, first], office.treatments.map(&:id)
    send_form("/jobs/#{office.id}/treatments/#{second}/move", "move" => "window-before")
    assert_equal [second, first], office.treatments.map(&:id)
    send_form("/jobs/#{office.id}/treatments/#{second}/put-away")
    get "/jobs/#{office.id}"
    assert_match(/Put away\s+Yard window Bring back/, text)
    get "/jobs/#{office.id}/treatments/#{second}/measure"
    assert_equal 404, last_response.status
    send_form("/jobs/#{office.id}/treatments/#{second}/bring-back")
    get "/jobs/#{office.id}/treatments/#{second}/measure"
    assert_equal 200, last_response.status
  end

  def test_a_job_has_notes_and_a_place_in_the_archive
    send_form("/jobs/#{office.id}/notes", "notes" => "Key at the <ferry> bell")
    get "/jobs/#{office.id}"
    assert_includes last_response.body, "Key at the &lt;ferry&gt; bell"
    id = office.id
    send_form("/jobs/#{id}/archive", "archived" => "yes")
    get "/jobs"
    refute_match(/Ticket office/, text)
    get "/jobs/archive"
    assert_match(/Ticket office/, text)
    send_form("/jobs/#{id}/archive", "archived" => "no")
    assert_equal id, office.id
  end

  def test_a_document_goes_by_the_sets_name
    take_set("Unlined")
    get "/jobs/#{office.id}/job.fold.json"
    assert_equal "Unlined", JSON.parse(last_response.body).dig("windows", 0, "treatments", 0, "rules")
  end

  def test_what_the_house_says_of_the_table_and_of_making_is_asked_for
    get "/house-rules"
    assert_includes last_response.body, %(name="rules.lift_limit" value="12")
    assert_includes last_response.body, %(name="rules.table_length" value="300.0")
    %w[stitching cutter cut_on].each do |name|
      assert_includes last_response.body, %(<select id="rules-#{name}")
    end
  end

  def test_a_new_window_is_made_like_the_set_that_was_chosen_or_like_the_one_before
    id = workroom.jobs.create(title: "Net loft", unit: "cm")
    made = lambda do |**typed|
      send_form("/jobs/#{id}/windows", "name" => "Gable", **typed)
      workroom.jobs.find(id).treatments.last.spec
    end
    assert_equal set("Unlined").id.to_s, made.call["rules"]
    assert_equal set("Hall").id.to_s, made.call("rules" => set("Hall").id.to_s)["rules"]
    get "/jobs/#{id}"
    assert_match(/value="#{set("Hall").id}" checked/, last_response.body)
    assert_equal set("Unlined").id.to_s, made.call("rules" => "no set")["rules"]
  end

  # A rule has round figures of its own for either tape: what the one gave doesn't depart where the other is shown.
  def test_another_tape_is_no_departure
    departures = %w[cm in].map do |unit|
      workroom.jobs.list.first(8).map do |line|
        workroom.jobs.set_unit(line.id, unit)
        workroom.jobs.find(line.id).treatments.map do |treatment|
          get "/jobs/#{line.id}/treatments/#{treatment.id}/cloth"
          last_response.body[/(\d+) departures? here/, 1].to_i
        end
      end
    end
    assert_equal(*departures)
    assert_operator departures.first.flatten.sum, :>, 0
  end

  # A sentence that is true for a cloth isn't for what has a field of the same name.
  def test_what_is_wanting_is_said_of_what_it_is
    send_form("/house-rules", "name" => "", "saw" => {"name" => workroom.house.read.name})
    assert_match(/Must be given/, text)
    refute_match(/Give the cloth a name/, text)
    set = workroom.house.read.sets.first
    send_form("/house-rules/sets/#{set.id}", "name" => "", "saw" => {"name" => set.name})
    refute_match(/Give the cloth a name/, text)
    cloth = workroom.cloths.all.first
    send_form("/cloths/#{cloth.id}", "name" => "", "saw" => {"name" => cloth.spec["name"]})
    assert_match(/Give the cloth a name/, text)
    face = office.treatments.first.spec["face"]
    parts = "/jobs/#{office.id}/cutting/#{face}/parts"
    from = office.treatments.first.id.to_s
    send_form(parts, "kind" => "patch", "treatment" => from, "height" => "15", "count" => "1")
    assert_equal 422, last_response.status
    refute_match(/The width can't be left out/, text)
  end

  private

  def set(name) = workroom.house.read.sets.find { |one| one.name == name }

  def take_set(name) = save(office, "cloth", "rules" => set(name).id.to_s)

  def settle_set(set, **fields) =
    send_form("/house-rules/sets/#{set.id}", "version" => set.version.to_s, "name" => set.name, **fields)

  def settle_house(**fields) = send_form("/house-rules", "version" => workroom.house.read.version.to_s, **fields)

  def post_stale(path, **fields) = send_form(path, "version" => "99", **fields)
end
