# frozen_string_literal: true

require "web_test_helper"
require "vips"
require "pdf-reader"

# Somebody's own curtains through their stations: the worked job, bad input, what came in, the slip, the bench.
class AlteringStationsTest < WebTest
  WORKED = File.expand_path("../golden/13-alterations", __dir__)

  # Each of the worked alterations shows the figures that were worked out by hand.
  def test_the_worked_job_through_the_screens
    expected = JSON.parse(File.read("#{WORKED}.expected.json"))["alterations"]
    id = workroom.jobs.bring_in(
      **EarnestFold::Web::Forms::ImportForm.new({tempfile: StringIO.new(File.read("#{WORKED}.fold.json"))}, []).values
    )
    workroom.jobs.find(id).treatments.each do |treatment|
      get "/jobs/#{id}/treatments/#{treatment.id}/alter"
      assert_equal 200, last_response.status
      figures(expected.fetch(treatment.spec["id"])).each do |figure|
        assert_match(/(?<![\d.])#{Regexp.escape(figure)}(?![\d.])/, text, treatment.spec["id"])
      end
    end
  end

  def test_a_curtain_is_taken_in_measured_and_altered
    send_form("/jobs/#{@taken_in = office.id}/alterations", "name" => "Parlour pair", "kind" => "shorten_keep_hem")
    follow_redirect!
    assert_match(/Shortened, the made hem kept/, text)
    save_altered(
      "measure",
      "existing_length" => "228",
      "wanted_length" => "190",
      "curtains" => "2",
      "length_from" => "the hook",
      "length_to" => "the sill"
    )
    follow_redirect!
    assert_match(/From the hook to the sill: 190.0 cm, which is 74 13\/16 in\./, text)
    save_altered("alter", "existing_hem.kind" => "single", "existing_hem.depth" => "3", "seam" => "1.5")
    follow_redirect!
    assert_match(/Seam line, from the top edge 187.0/, text)
    assert_match(/Strip cut off 35.0/, text)
  end

  # By pins: what comes out is typed, the length follows; the one that is said last is kept.
  def test_what_comes_out_gives_the_length_and_the_length_what_comes_out
    take_in("shorten_at_hem")
    save_altered("measure", "existing_length" => "110", "take_out_foot" => "23")
    get altered_at("measure")
    assert_match(/Hem as it is not said yet/i, text)
    refute_match(/#<Object/, CGI.unescapeHTML(last_response.body))
    save_altered("measure", "existing_hem.kind" => "single", "existing_hem.depth" => "5")
    get altered_at("measure")
    assert_match(/87\.0 cm.*23\.0 cm comes out at the foot, which is 9 1\/16 in/, text)
    save_altered("measure", "wanted_length" => "80")
    refute pair_taken_in.spec.key?("take_out_foot")
    get altered_at("alter")
    assert_match(/Cut line, from the top edge 85\.0/, text)
    assert_match(/Make it double, 5\.0 cm/, text)
    save_altered("alter", "hem.kind" => "double")
    assert_equal({"kind" => "double", "depth" => "5 cm"}, pair_taken_in.spec["hem"])
    save_altered("alter", "hem.kind" => "")
    refute pair_taken_in.spec.key?("hem")
  end

  def test_top_and_foot_go_through_every_page
    take_in("top_and_foot")
    save_altered(
      "measure",
      "existing_length" => "210",
      "take_out_top" => "24",
      "wanted_length" => "150",
      "motif" => "60"
    )
    save_altered("alter", "existing_hem.kind" => "single", "existing_hem.depth" => "3", "seam" => "1.5")
    %w[measure alter making hanging bench slip.pdf work-order.pdf].each do |page|
      get altered_at(page)
      assert_equal 200, last_response.status, page
    end
    get altered_at("alter")
    assert_match(/foot: seam line, from the top edge 171\.0/i, text)
    get altered_at("making")
    assert_match(/Sew the tuck at the top.*Turn the edge up.*Sew the tuck.*Press the seam down/, text)
  end

  # Hung as it came: no cloth, nothing cut, from what it hangs from to the hanging sheet.
  def test_what_only_hangs_goes_through_every_page
    take_in("hang_only")
    get altered_at("measure")
    refute_match(/Wanted/, text)
    save_altered(
      "measure",
      "existing_length" => "214",
      "support_length" => "180",
      "overlap" => "8",
      "width" => "120",
      "curtains" => "4",
      "lined" => "yes"
    )
    every_page_of_it
    get altered_at("alter")
    assert_match(/Drawn up, each 47\.0/, text)
    get altered_at("making")
    assert_match(/Draw it up.*47\.0.*Put in the hooks.*Press on the lining's side/, text)
    get altered_at("hanging")
    assert_match(/To carry 28 Hooks/i, text)
    assert_match(/Panel 1 leads at its right edge.*Panel 4 leads at its left edge/i, text)
  end

  # What two figures make together stands at the one to change, wherever that is asked, and goes when it is changed.
  def test_a_stop_stands_at_its_field
    take_in("shorten_keep_hem")
    save_altered("measure", "existing_length" => "110", "wanted_length" => "108", "existing_hem.kind" => "single")
    save_altered("measure", "existing_hem.depth" => "3")
    save_altered("alter", "seam" => "1.5")
    get altered_at("alter")
    assert_match(/<p class="stopped" id="seam-stop"><b>Stop\.<\/b>[^<]*3\.0/, last_response.body)
    assert_match(/<input id="seam"[^>]*aria-describedby="[^"]*seam-stop/, last_response.body)
    get altered_at("measure")
    assert_equal ["wanted_length-stop"], last_response.body.scan(/class="stopped" id="([^"]*)"/).flatten
    save_altered("measure", "wanted_length" => "100")
    get altered_at("alter")
    refute_match(/class="stopped"/, last_response.body)
  end

  # A casing is slid onto its rod, which comes off its brackets; nothing is hooked in from an edge.
  def test_a_casing_that_only_hangs_is_slid_on
    take_in("hang_only")
    save_altered("measure", "existing_length" => "214", "support_length" => "90", "hung_from" => "rod")
    save_altered("measure", "width" => "120")
    save_altered("alter", "heading.kind" => "rod_pocket")
    save_altered("alter", "heading.rod_diameter" => "2", "heading.pocket" => "4")
    every_page_of_it
    get altered_at("hanging")
    assert_match(/Take the rod off.*slide it on.*Put the rod up/m, text)
    refute_match(/hang it from its return edge/, text)
  end

  def test_a_ready_panel_is_given_hooks
    take_in("ready_hooks")
    save_altered("measure", "existing_length" => "214", "pockets" => "104")
    every_page_of_it
    save_altered("alter", "skips" => "3, 3, 3", "hooks" => "7", "end_hooks" => "yes", "rings" => "yes")
    every_page_of_it
    get altered_at("making")
    assert_match(/6, 9, 12, 15; 20, 23, 26, 29/, text)
    get altered_at("hanging")
    assert_match(/7 Hooks 2 Plain hooks for the ends 9 Rings/i, text)
  end

  def test_small_parts_of_alterations_stand_in_needs
    take_in("ready_hooks")
    save_altered("measure", "existing_length" => "214", "pockets" => "104")
    save_altered("alter", "skips" => "3, 3, 3", "hooks" => "7", "rings" => "yes")
    get "/jobs/#{@taken_in}/needs.csv"
    assert_match(/^Rings,"",7/, last_response.body)
    assert_match(/^Hooks,"",35/, last_response.body)
    get "/jobs/#{@taken_in}"
    assert_match(/needs/i, text)
  end

  def test_without_a_name_nothing_is_taken_in
    before = office.treatments.size
    send_form("/jobs/#{office.id}/alterations", "name" => " ", "kind" => "shorten_at_hem")
    assert_equal 422, last_response.status
    send_form("/jobs/#{office.id}/alterations", "name" => "x", "kind" => "dyed")
    assert_equal 422, last_response.status
    assert_equal before, office.treatments.size
  end

  def test_its_lengths_are_read_back_with_the_others
    get "/jobs/#{chapel.id}/read-back"
    assert_match(
      %r{Wanted, from the eye of the ring to a finger above the step 164 cm 164\.0 cm 64 9/16 in},
      text
    )
  end

  def test_each_slip_has_its_own_plain_words
    {
      {"wanted_length" => "300"} => /is longer than the curtain/,
      {"wanted_length" => "-3"} => /more than 0/,
      {"existing_length" => "three"} => /can't be read as a length/i
    }.each do |typed, words|
      save_altered("measure", **typed, headers: {"HX-Request" => "true"})
      get station(chapel, "alter") if last_response.status == 200
      assert_match(words, text)
      workroom.treatments.take_back(pair.id, version: pair.version) if pair.undoable.positive?
    end
    save_altered("alter", "hem.depth" => "200", :headers => {"HX-Request" => "true"})
    assert_match(/A hem of 200.0 cm is deeper than the curtain is long/, text)
  end

  def test_a_tuck_that_eats_its_own_seam
    save_altered("alter", "kind" => "shorten_keep_hem")
    save_altered("measure", "wanted_length" => "235")
    get station(chapel, "alter")
    assert_match(/The tuck is smaller than its own two seams/, text)
  end

  def test_what_stops_it_stands_at_the_bench_too
    save_altered("alter", "existing_hem.depth" => "4", "hem.depth" => "60")
    %w[alter making bench].each do |name|
      get station(chapel, name)
      assert_match(/The cloth is [\d.]+ cm short for this hem/, text, name)
    end
  end

  # A treatment of a document that calls itself by the name of an alteration is a treatment all the same.
  def test_a_made_curtain_stays_one
    document = JSON.parse(File.read(File.expand_path("../golden/01-one-plain-pair.fold.json", __dir__)))
    document["windows"][0]["treatments"][0]["kind"] = "shorten_at_hem"
    values = EarnestFold::Web::Forms::ImportForm.new({tempfile: StringIO.new(JSON.generate(document))}, []).values
    treatment = workroom.jobs.find(workroom.jobs.bring_in(**values)).treatments.first
    assert_equal "made", treatment.sort
  end

  def test_another_kind_keeps_what_both_know_and_is_taken_back
    save_altered("alter", "kind" => "lengthen")
    assert_equal ["lengthen", "241 cm", 2], pair.spec.values_at("kind", "existing_length", "curtains")
    refute pair.spec.key?("hem")
    send_form(station(chapel, "take-back"), "version" => pair.version.to_s, "station" => "alter")
    assert_equal "shorten_at_hem", pair.spec["kind"]
    assert_equal({"kind" => "double", "depth" => "8 cm"}, pair.spec["hem"])
  end

  def test_a_plain_panel_is_given_any_heading
    save_altered("alter", "kind" => "new_heading")
    save_altered("measure", "panel_width" => "260", "finished_width" => "120")
    EarnestFold::Reckoning::Headings.names.each do |name|
      save_altered("alter", "heading.kind" => name)
      get station(chapel, "alter")
      assert_equal 200, last_response.status, name
      get station(chapel, "making")
      assert_equal 200, last_response.status, name
    end
  end

  def test_what_decides_the_fields_cannot_be_left_empty
    save_altered("alter", "kind" => "new_heading")
    {"kind" => "new_heading", "heading.kind" => "pencil_pleat"}.each do |path, there|
      save_altered("alter", path => "", :headers => {"HX-Request" => "true"})
      assert_equal 422, last_response.status, path
      assert_equal there, pair.spec.dig(*path.split("."))
    end
  end

  def test_the_bench_of_an_alteration_with_both_edges
    fourth = step_at(3, chapel).merge("curtain" => "left")
    get "#{station(chapel, "bench")}?#{URI.encode_www_form(fourth)}"
    assert_match(/Draw the lines/, text)
    assert_match(/183.5/, text)
    send_form(
      station(chapel, "bench"),
      **fourth,
      "said" => "measured",
      "value-leading" => "183.5",
      "value-return" => "184.2"
    )
    follow_redirect!
    assert_match(
      %r{183.5 cm / 184.2 cm : 0.7 cm off, allowed is 0.3 cm\. Draw the line again from the kept edge},
      text
    )
    every_step_can_be_looked_at
  end

  def test_making_and_hanging_and_their_papers
    %w[making hanging].each do |name|
      get station(chapel, name)
      assert_equal 200, last_response.status
    end
    get station(chapel, "work-order.pdf")
    assert_match(/Cut off.*183.5/m, pdf)
    get "/jobs/#{chapel.id}/work-order.pdf"
    assert_match(/Organ ?loft/, pdf)
    get "/jobs/#{chapel.id}/hanging-sheet.pdf"
    assert_equal 200, last_response.status
  end

  def test_what_came_in_is_noted_by_place_and_struck_in_sight
    note("sort" => "worn", "curtain" => "right", "across" => "120", "down" => "940", "words" => "sun on the fold")
    get came_in
    assert_match(/Worn or faded, Right, hem, left, sun on the fold/, text)
    note("sort" => "fault", "curtain" => "left", "place" => "middle", "words" => "")
    own = workroom.came_in.notes(pair.id)
    assert_equal [500, 500], [own.last.across, own.last.down]
    send_form("#{came_in}/notes/#{own.last.id}/strike")
    assert_equal [false, false, false, true], workroom.came_in.notes(pair.id).map(&:struck)
    get came_in
    assert_match(/Fault in the making, Left, middle/, text)
    note("sort" => "dull", "place" => "middle")
    assert_equal 422, last_response.status
  end

  def test_photographs_are_kept_without_what_the_camera_said
    send_photograph(
      Vips::Image.black(640, 480, bands: 3).copy(interpretation: :srgb).jpegsave_buffer,
      "wax on the left one"
    )
    assert_equal 303, last_response.status
    kept = workroom.came_in.photographs(pair.id)
    assert_equal [[640, 480, "wax on the left one"]], kept.map { |one| [one.width, one.height, one.words] }
    get "#{came_in}/photographs/#{kept.first.id}.jpg"
    assert_equal ["image/jpeg", "\xFF\xD8\xFF".b], [last_response.headers["Content-Type"], last_response.body.b[0, 3]]
    send_photograph("not a picture", "At the fold")
    assert_includes last_response.body, %(value="At the fold")
    assert_equal 422, last_response.status
    assert_match(/That is no photograph/, text)
    get station(chapel, "slip.pdf")
    assert_match(/candle wax/, pdf)
    assert_match(%r{164.0 cm, which is 64 9/16}, pdf)
    send_form("#{came_in}/photographs/#{kept.first.id}/remove")
    assert_empty workroom.came_in.photographs(pair.id)
  end

  def test_the_stations_of_a_made_curtain_are_not_there
    %w[heading cloth cutting].each do |name|
      get station(chapel, name)
      assert_equal 404, last_response.status, name
    end
    get station(office, "alter")
    assert_equal 404, last_response.status
    get "/jobs/#{office.id}/treatments/#{office.treatments.first.id}/came-in"
    assert_equal 404, last_response.status
  end

  private

  def every_page_of_it
    %w[measure alter making hanging bench slip.pdf work-order.pdf hanging-sheet.pdf came-in].each do |page|
      get altered_at(page)
      assert_equal 200, last_response.status, page
    end
    get "/jobs/#{@taken_in}/account"
    assert_equal 200, last_response.status
  end

  def take_in(kind)
    send_form("/jobs/#{@taken_in = office.id}/alterations", "name" => "Parlour pair", "kind" => kind)
  end

  def pair_taken_in = workroom.jobs.find(@taken_in).treatments.last

  def altered_at(page) = "/jobs/#{@taken_in}/treatments/#{pair_taken_in.id}/#{page}"

  def chapel = job("Ferry chapel")

  def pair = chapel.treatments.first

  def came_in = station(chapel, "came-in")

  def note(fields) = send_form("#{came_in}/notes", **fields)

  def send_photograph(bytes, words)
    get "/jobs"
    token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
    file = Rack::Test::UploadedFile.new(StringIO.new(bytes), "image/jpeg", original_filename: "p.jpg")
    post "#{came_in}/photographs", "file" => file, "words" => words, "authenticity_token" => token
  end

  def save_altered(name, headers: {}, **fields)
    of = last_request_job
    send_form(
      station(of, name),
      :headers => headers,
      "version" => altered(of).version.to_s,
      "unit" => of.unit,
      **fields
    )
  end

  # The job that was looked at last, or the chapel.
  def last_request_job = (@taken_in && workroom.jobs.find(@taken_in)) || chapel

  def altered(of) = of.treatments.find { |record| record.sort == "altered" }

  def station(job, name) = "/jobs/#{job.id}/treatments/#{altered(job)&.id || job.treatments.first.id}/#{name}"

  def pdf = PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join("\n")

  # As shown: centimetres to the millimetre; ratios and counts as they are.
  def figures(expected)
    if expected["ways"]
      return (
        expected["ways"].flat_map do |way|
          [way["cut_line"], way["remnant"]].map { |mm| shown(mm) } +
            [EarnestFold::Words.number(way["fullness"].to_r, 3)]
        end
      )
    end

    expected.map { |name, value| (name == "pieces") ? value.to_s : shown(value) }
  end

  def shown(millimetres) =
    EarnestFold::Words.length(EarnestFold::Reckoning::Length.mm(millimetres.to_r), EarnestFold::Reckoning::Units::CM)

  def every_step_can_be_looked_at
    chapel.treatments.each do |treatment|
      get "/jobs/#{chapel.id}/treatments/#{treatment.id}/making"
      last_response.body.scan(/bench\?([^"]+)/).flatten.uniq.each do |asked|
        get "/jobs/#{chapel.id}/treatments/#{treatment.id}/bench?#{CGI.unescapeHTML(asked)}"
        assert_equal 200, last_response.status, asked
      end
    end
  end
end
