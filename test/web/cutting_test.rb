# frozen_string_literal: true

require "web_test_helper"
require "nokogiri"
require "pdf-reader"
require "stringio"

# The Cutting station and the table through their requests.
class CuttingTest < WebTest
  R = EarnestFold::Reckoning

  def test_the_station_shows_the_jobs_plan_on_the_shelf
    get station(lounge, "cutting")
    flat = text
    assert_match(
      /cut drop 277.2 cuts here, of the job's 6 of 8 takes of the shelf 2373.2 is that the least\? yes, proved/,
      flat
    )
    assert_match(/R1 2494.0 cm · Batch 417 · Rack A, top/, flat)
    assert_match(/Garden side light: Single, width 1 15.8 293.4 277.7/, flat)
  end

  def test_without_a_piece_the_plan_runs_on_an_endless_one
    workroom.rows(:pieces).delete
    get station(lounge, "cutting")
    assert_match(/There is none of it on the shelf/, text)
    assert_match(/Receive a piece/, text)
  end

  def test_cloth_that_differs_is_held_back
    get station(job("Breakfast room"), "cutting")
    assert_match(/Held back, for it differs from what was reckoned with: J1/, text)
  end

  # A plan that cuts nothing is nothing to take to the table.
  def test_a_shelf_that_is_too_short_for_any_cut
    workroom.shelf.all(cloths: [reed.id]).each do |piece|
      workroom.shelf.update(piece.id, piece.spec.merge("measured" => "1 m", "flaws" => []), version: piece.version)
    end
    get station(lounge, "cutting")
    assert_match(/cuts find no place on the shelf/, text)
    refute_includes last_response.body, "cutting/#{reed.id}/take"
    of_reed = Nokogiri::HTML5(last_response.body).at_css(".bolt-of").text
    assert_includes of_reed, "Reedbed"
    refute_match(/takes of the shelf|is that the least/, of_reed)
    get "/jobs/#{lounge.id}/cutting/#{reed.id}/plan.pdf"
    assert_match(/cuts find no place on the shelf/, read_pdf)
    refute_match(/Takes/, read_pdf)
  end

  def test_what_the_shelf_lacks_is_named
    piece = piece_named("R1")
    workroom.shelf.use_up(piece.id, true)
    get station(lounge, "cutting")
    assert_match(/6 cuts find no place on the shelf \(River bay\). Buy \d+.\d cm in one batch/, text)
    # However few a plan leaves uncut, and though no other leaves fewer, nobody is told that it is the least.
    assert_match(/takes of the shelf \d+\.\d is that the least\? the cloth is short/, text)
    get "/jobs/#{lounge.id}/cutting/#{reed.id}/plan.pdf"
    assert_match(/Takes \d+\.\d cm of the shelf, and some cuts find no place/, read_pdf)
    get "/jobs/#{lounge.id}/order.csv"
    assert_match(
      /\ACloth,Use,Needed,Beyond the shelf,Order,Costs,For\nReedbed linen union,face,.*,River bay\n\z/,
      last_response.body
    )
    get "/jobs/#{lounge.id}/order.pdf"
    assert_match(/Reedbed linen union/, read_pdf)
  end

  def test_touching_a_cut_shows_where_it_hangs
    get "#{station(lounge, "cutting")}?cut=#{CGI.escape("#{reed.id}~#{bay.id}~right~1")}"
    assert_match(/River bay Right, width 1 Lies from 308.2 cm to 585.4 cm/, text)
    assert_includes last_response.body, "Where it hangs: Right, width 1."
    get "#{station(lounge, "cutting")}?cut=%22%3E%3Cscript%3E&zoom=9"
    assert_equal 200, last_response.status
    refute_includes last_response.body, "<script>\""
  end

  def test_a_pin_says_what_it_costs_and_is_let_go
    wish("cut" => "#{reed.id}~#{bay.id}~left~1", "piece" => piece_named("R1").id.to_s, "from" => "97.2", "pin" => "yes")
    assert_equal 303, last_response.status
    get station(lounge, "cutting")
    assert_match(/With your pins and wishes the plan takes \d+\.\d cm more than the best one/, text)
    wish("cut" => "#{reed.id}~#{bay.id}~left~1", "pin" => "no")
    get station(lounge, "cutting")
    refute_match(/With your pins and wishes/, text)
  end

  def test_a_pin_off_the_pattern_is_refused
    wish("cut" => "#{reed.id}~#{bay.id}~left~1", "piece" => piece_named("R1").id.to_s, "from" => "98", "pin" => "yes")
    assert_equal 422, last_response.status
    assert_match(/It can't be pinned there/, text)
    wish("cut" => "#{reed.id}~#{bay.id}~left~1", "piece" => piece_named("R1").id.to_s, "from" => "soon", "pin" => "yes")
    assert_equal 422, last_response.status
  end

  def test_a_piece_is_left_alone_or_used_first
    wish("piece-#{piece_named("R2").id}" => "leave")
    get station(lounge, "cutting")
    assert_match(/takes \d+\.\d cm more than the best one/, text)
    refute_match(/<h3><a href="[^"]*">R2/, last_response.body)
    wish("piece-#{piece_named("R1").id}" => "first")
    get station(lounge, "cutting")
    assert_operator text[/R1 2494.0 cm.*?The (\d+) cuts as a list/, 1].to_i, :>, 4
  end

  def test_a_plan_is_cut_tick_by_tick
    get take
    assert_match(
      /R1 · cut 1 of 8 First take off the waste at 33.2 Cut at 310.4 cm River bay · Left, width 1 · cut drop 277.2/,
      text
    )
    assert_match(/Square the end first/, text)
    tick
    get table
    assert_match(
      /1 of 8 cut.*cut 2 of 8 First take off the waste at 42.8 Cut at 320.0 cm River bay · Left, width 3/m,
      text
    )
    refute_match(/Square the end first/, text)
    assert_match(/Marked out along the whole piece it ends at 630.4 cm/, text)
    7.times { tick }
    get table
    assert_match(/All is cut Back on the shelf/, text)
    get "/jobs/#{lounge.id}"
    assert_equal 0,
      last_response
        .body
        .scan('class="done" href="/jobs/' + lounge.id.to_s + "/treatments/" + bay.id.to_s + '/cutting"')
        .size,
      "its linings are still to be cut"
  end

  # The cloth before a cut that was made out of order is an offcut now: distances run from its own end.
  def test_a_cut_that_lies_on_an_offcut_by_now_is_measured_from_the_offcuts_end
    get take
    first, second = cuts
    send_form("#{table}/tick", "cut" => second.id.to_s)
    get "#{table}?cut=#{first.id}"
    assert_match(%r{Piece R1/1 · cut 1 of 8 First take off the waste at 33.2 Cut at 310.4 cm}, text)
    send_form("#{table}/flaw", "cut" => first.id.to_s, "from" => "320", "to" => "325", "what" => "mark")
    assert_equal [R::Length.cm(320)], piece_named("R1/1").piece.flaws.map(&:from)
    send_form("#{table}/tick", "cut" => cuts.find { |cut| !cut.done? }.id.to_s)
    assert_equal 303, last_response.status
    workroom.shelf.all(used_up: true).each { |record| assert_predicate record.piece.life, :whole? }
  end

  def test_a_cut_is_ticked_at_its_own_table_alone
    send_form("/jobs/#{lounge.id}/cutting/#{reed.id}/take")
    cut = workroom.plans.of(lounge.id).of(reed.id).first
    other = workroom.cloths.all.find { |cloth| cloth.id != reed.id }
    ["/jobs/#{office.id}/table/#{reed.id}", "/jobs/#{lounge.id}/table/#{other.id}"].each do |elsewhere|
      %w[tick put-back wrong].each { |said| send_form("#{elsewhere}/#{said}", "cut" => cut.id.to_s, "to" => "10") }
    end

    assert_equal %w[planned], workroom.plans.of(lounge.id).of(reed.id).map(&:state).uniq
  end

  def test_a_tick_is_taken_back
    get take
    first = cuts.first
    tick
    send_form("#{table}/put-back", "cut" => first.id.to_s)
    assert_equal 303, last_response.status
    assert_equal %w[planned] * 8, cuts.map(&:state)
  end

  def test_a_flaw_half_way_plans_the_rest_again
    get take
    tick
    before = cuts
    send_form("#{table}/flaw", "cut" => before[1].id.to_s, "from" => "60", "to" => "70", "what" => "hole")
    assert_equal 303, last_response.status
    assert_equal ["cut"] + ["planned"] * 7, cuts.map(&:state)
    assert_equal before.first.id, cuts.first.id
    flaw = piece_named("R1").piece.flaws.last
    assert_equal R::Length.cm("310.4".to_r + 60), flaw.from.then { |at| R::Length.new((at.mm * 1).round.to_r) }
    refute cuts.reject(&:done?).any? { |cut| cut.label == "R1" && cut.begins < flaw.to && cut.ends > flaw.from }
    assert_empty cutting.cloths.first.plan.uncut
  end

  def test_a_wrong_cut_is_kept_and_its_mending_told
    get take
    first = cuts.first
    send_form("#{table}/wrong", "cut" => first.id.to_s, "from" => "33.2", "to" => "300", "why" => "too_short")
    assert_equal 303, last_response.status
    get table
    flat = text
    assert_match(/Spoiled: River bay, Left, width 1. It is cut again from R\d/, flat)
    assert_match(/double hem of 4.8 cm/, flat)
    life = piece_named("R1").piece.life
    assert_predicate life, :whole?
    assert_equal R::Length.cm("266.8".to_r), life.sum(:wrong)
  end

  def test_what_cannot_be_told_stays_in_its_fields
    get take
    send_form("#{table}/flaw", "cut" => cuts.first.id.to_s, "from" => "50", "to" => "here", "what" => "hole")
    assert_equal 422, last_response.status
    assert_match(/value="here"/, last_response.body)
    send_form("#{table}/wrong", "cut" => cuts.first.id.to_s, "from" => "50", "to" => "90 m")
    assert_equal 422, last_response.status
    assert_match(/lies outside its piece/i, text)
    assert_equal %w[planned] * 8, cuts.map(&:state)
  end

  # Somebody plans again while another still has the old page open.
  def test_a_tick_of_a_plan_that_is_gone_is_told
    get take
    old = cuts.last
    send_form("/jobs/#{lounge.id}/cutting/#{reed.id}/take")
    send_form("#{table}/tick", "cut" => old.id.to_s)
    assert_equal 409, last_response.status
    assert_match(/Somebody else was at this plan meanwhile/, text)
  end

  def test_changed_figures_stop_the_plan_at_the_table
    get take
    save(
      lounge,
      "measure",
      "drop.readings.left" => "230",
      "drop.readings.middle" => "230",
      "drop.readings.right" => "230"
    )
    get table
    assert_match(/The figures have changed since this plan/, text)
    send_form("/jobs/#{lounge.id}/cutting/#{reed.id}/take")
    get table
    refute_match(/The figures have changed/, text)
  end

  def test_what_was_cut_at_another_length_is_told
    get take
    tick
    save(
      lounge,
      "measure",
      "drop.readings.left" => "230",
      "drop.readings.middle" => "230",
      "drop.readings.right" => "230"
    )
    get station(lounge, "cutting")
    assert_match(/Cut at another length than is wanted now: Left, width 1/, text)
  end

  def test_a_plan_is_put_back_on_the_shelf
    get take
    tick
    send_form("/jobs/#{lounge.id}/cutting/#{reed.id}/release", "treatment" => bay.id.to_s)
    assert_equal ["cut"], cuts.map(&:state)
    assert_empty workroom.shelf.all.flat_map(&:reserved)
    get station(lounge, "cutting")
    assert_match(/Distances run from where this job begins|R1/, text)
  end

  def test_another_job_begins_after_what_is_kept
    get take
    id = workroom.jobs.bring_in(title: "Snug", unit: "cm", extras: {}, cloths: {}, windows: [["Snug", "", [bay.spec]]])
    other = CuttingTest.of(workroom, id)
    assert(other.pieces.all? { |record| record.begins(id) == record.reserved.map(&:to).max || record.reserved.empty? })
    assert_equal R::Length.cm("630.4".to_r),
      other
        .pieces
        .find { |record| record.label == "R1" }
        .begins(id)
        .then { |at| R::Length.new(at.mm.round.to_r) }
  end

  def test_small_parts_are_fitted_into_what_is_left
    send_form(
      "/jobs/#{lounge.id}/cutting/#{reed.id}/parts",
      "treatment" => bay.id.to_s,
      "kind" => "tieback",
      "girth" => "52",
      "ease" => "4",
      "finished_depth" => "6",
      "end_turn" => "1.5",
      "count" => "4"
    )
    assert_equal 303, last_response.status
    get station(lounge, "cutting")
    assert_match(/4 tiebacks 59.0 × 24.0: 4 fitted into what is over/, text)
    send_form("/jobs/#{lounge.id}/cutting/#{reed.id}/parts/tieback-1/remove", "treatment" => bay.id.to_s)
    assert_empty job("Residents' lounge").extras["small_parts"]
    send_form(
      "/jobs/#{lounge.id}/cutting/#{reed.id}/parts",
      "treatment" => bay.id.to_s,
      "kind" => "ribbon",
      "girth" => "52"
    )
    assert_equal 422, last_response.status
    assert_match(/The small part was not taken/, text)
    assert_empty job("Residents' lounge").extras["small_parts"]
    send_form("/jobs/#{lounge.id}/cutting/#{reed.id + 999_999}/parts",
      "treatment" => bay.id.to_s, "kind" => "patch", "width" => "5", "height" => "5")
    assert_equal 404, last_response.status, "a part is cut from a cloth of the job"
    assert_empty job("Residents' lounge").extras["small_parts"]
  end

  def test_a_small_part_that_is_refused_stays_as_it_was_typed_with_what_is_wrong
    send_form(
      "/jobs/#{lounge.id}/cutting/#{reed.id}/parts",
      "treatment" => bay.id.to_s,
      "kind" => "tieback",
      "girth" => "wide",
      "ease" => "4",
      "count" => "6"
    )
    assert_equal 422, last_response.status
    page = Nokogiri::HTML(last_response.body)
    form = page.css("form").find { |one| one.at_css("[name=kind][value=tieback]") }
    assert_equal %w[wide 4 6], %w[girth ease count].map { |name| form.at_css("[name=#{name}]")["value"] }
    assert_equal %w[girth finished_depth], form.css("[aria-invalid]").map { |field| field["name"] }
    assert_match(/Can't be read as a length.*Must be given/m, form.css(".problem").text.squeeze(" \n"))
    assert form.ancestors("details").all? { |folded| folded["open"] }, "it isn't folded away"
    assert_equal page.css("[id]").map { |one| one["id"] }.tally.select { |_, count| count > 1 }, {}
  end

  def test_small_parts_are_asked_for_before_the_cloth_is_there
    workroom.shelf.all(cloths: [reed.id]).each { |piece| workroom.shelf.use_up(piece.id, true) }
    get station(lounge, "cutting")
    assert_match(/None of it is on the shelf yet: what small parts take is ordered with it/, text)
    send_form("/jobs/#{lounge.id}/cutting/#{reed.id}/parts",
      "treatment" => bay.id.to_s, "kind" => "patch", "width" => "30", "height" => "20", "count" => "3")
    get station(lounge, "cutting")
    assert_match(/3 patches 30.0 × 20.0/, text)
    assert_match(/3 small parts find no place in what is over: they take \d+\.\d cm more/, text)
  end

  def test_what_is_asked_of_a_small_part_begins_as_its_kind_does
    get station(lounge, "cutting")
    page = Nokogiri::HTML(last_response.body)
    counts = page.css(".part-form").to_h do |form|
      [form.at_css("[name=kind]")["value"], form.at_css("[name=count]")["value"]]
    end
    assert_equal({"tieback" => "2", "frill" => "1", "tab" => "", "patch" => "1"}, counts)
  end

  def test_the_plan_on_paper_says_what_the_screen_says
    get "/jobs/#{lounge.id}/cutting/#{reed.id}/plan.pdf"
    plan = read_pdf.gsub(/\s+/, "")
    assert_match(/Takes2373.2cmoftheshelf;noplantakesless/, plan)
    assert_match(/Riverbay:Left,width133.2310.4277.2/, plan)
    get "/jobs/#{lounge.id}/cutting/#{reed.id}/tickets.pdf"
    assert_equal 8, read_pdf.gsub(/\s+/, "").scan("thisendisthetop").size
    get "/jobs/#{lounge.id}/cutting/#{reed.id}/plan.svg"
    assert_equal "image/svg+xml", last_response.content_type
    drawing = REXML::Document.new(last_response.body)
    assert_equal 3, REXML::XPath.match(drawing, "//svg/svg").size
  end

  def test_tickets_are_drawn_too
    get "/jobs/#{lounge.id}/cutting/#{reed.id}/tickets.svg"
    drawing = REXML::Document.new(last_response.body)
    assert_equal 8, REXML::XPath.match(drawing, "//rect").size
    assert_includes REXML::XPath.match(drawing, "//text").map(&:text), "Left, width 1"
  end

  def test_a_flaw_told_from_the_station_leads_back_to_a_new_plan
    back = station(lounge, "cutting")
    get "/shelf/#{piece_named("R2").id}?back=#{CGI.escape(back)}"
    assert_includes last_response.body, %(name="back" value="#{back}")
    send_form(
      "/shelf/#{piece_named("R2").id}/flaws",
      "version" => piece_named("R2").version.to_s,
      "from" => "100",
      "to" => "110",
      "back" => back
    )
    assert_equal 303, last_response.status
    follow_redirect!
    refute_match(/takes of the shelf 2373.2/, text)
    send_form(
      "/shelf/#{piece_named("R2").id}/flaws",
      "version" => piece_named("R2").version.to_s,
      "from" => "200",
      "to" => "210",
      "back" => "//elsewhere.example/"
    )
    assert_match(%r{/shelf/\d+\z}, last_response["Location"])
  end

  def test_the_order_of_a_job_that_the_shelf_serves_is_empty_of_that_cloth
    get "/jobs/#{lounge.id}/order.csv"
    refute_match(/Reedbed/, last_response.body)
  end

  def test_queries_do_not_grow_with_windows_or_cuts
    get station(lounge, "cutting")
    few = queries { get station(lounge, "cutting") }
    3.times { workroom.windows(lounge.id).copy(lounge.windows.first, name: "again") }
    get station(lounge, "cutting")
    assert_equal few, queries { get station(lounge, "cutting") }
  end

  # Of hundreds of pieces the longest are planned on, and those that are wished for; the rest can be wished for too.
  def test_of_many_pieces_those_that_matter_are_planned_on
    120.times do |index|
      spec = {"delivered" => "#{100 + index} cm", "batch" => "900"}
      workroom.shelf.receive(reed.id, "Z#{index}", spec)
    end
    get station(lounge, "cutting")
    assert_match(/planned on: 80 of 123/, text)
    assert_match(/yes, proved/, text)
    pages = [1, 2].map do |page|
      get "#{station(lounge, "cutting")}?pieces=#{page}"
      last_response.body.scan(/name="piece-(\d+)"/).flatten.map(&:to_i)
    end
    assert_empty workroom.shelf.all(cloths: [reed.id]).map(&:id) - pages.flatten
    short = piece_named("Z0")
    refute planned_on.include?("Z0")
    send_form("/jobs/#{lounge.id}/cutting/#{reed.id}/wishes", "piece-#{short.id}" => "first")
    assert_includes planned_on, "Z0"
    assert_operator planned_on.size, :<=, 81
  end

  def test_another_jobs_or_no_cloth_is_not_found
    get "/jobs/#{office.id}/table/#{reed.id}"
    assert_equal 404, last_response.status
    send_form("/jobs/#{office.id}/cutting/#{reed.id}/take")
    assert_equal 404, last_response.status
    send_form("#{table}/tick", "cut" => "nothing")
    assert_equal 409, last_response.status
  end

  def self.of(workroom, id)
    sheet = EarnestFold::Work::Job.new(workroom.jobs.find(id), workroom.cloths.all, workroom.house.read)
    EarnestFold::Work::Cutting.of(sheet, workroom).cloths.first
  end

  private

  def lounge = job("Residents' lounge")

  def planned_on
    cutting = EarnestFold::Work::Cutting.of(EarnestFold::Work::Workroom.new(workroom).job(lounge.id), workroom)
    cutting.cloth(reed.id).planned_on.map(&:label)
  end

  def bay = lounge.treatments.first

  def reed = workroom.cloths.all.find { |cloth| cloth.spec["name"] == "Reedbed linen union" }

  def piece_named(label) = workroom.shelf.all.find { |record| record.label == label }

  def wish(fields) = send_form("/jobs/#{lounge.id}/cutting/#{reed.id}/wishes", "treatment" => bay.id.to_s, **fields)

  def table = "/jobs/#{lounge.id}/table/#{reed.id}"

  # @return [String] where the plan lies then
  def take
    send_form("/jobs/#{lounge.id}/cutting/#{reed.id}/take")
    last_response["Location"]
  end

  def cuts = workroom.plans.of(lounge.id).of(reed.id)

  def cutting =
    EarnestFold::Work::Cutting.of(
      EarnestFold::Work::Job.new(lounge, workroom.cloths.all, workroom.house.read),
      workroom
    )

  def tick = send_form("#{table}/tick", "cut" => cuts.find { |cut| !cut.done? }.id.to_s)

  def read_pdf = PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join("\n")
end
