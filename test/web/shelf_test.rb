# frozen_string_literal: true

require "web_test_helper"
require "pdf-reader"

# The shelf and its pieces through their requests.
class ShelfPagesTest < WebTest
  R = EarnestFold::Reckoning

  def test_the_shelf_lists_every_piece_by_its_cloth
    get "/shelf"
    assert_equal 200, last_response.status
    assert_match(/Reedbed linen union\s+43.37 m in 3 pieces/, text)
    assert_match(/J1 15 m 2 – By the door held back/, text)
    assert_match(/R3 6.4 m 422 – Rack A, below not measured yet/, text)
  end

  # Each label has its piece, and a code of its own.
  def test_every_piece_has_a_label
    get "/shelf-labels.pdf"
    assert_equal 200, last_response.status
    words = PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join.delete(" \n")
    workroom.shelf.all.each { |piece| assert_includes words, piece.label.delete(" ") }
    assert_includes words, "24.94m"
    workroom.shelf.all.each { |piece| workroom.shelf.use_up(piece.id, true) }
    get "/shelf-labels.pdf"
    assert_equal 200, last_response.status
  end

  def test_a_piece_is_received
    cloth = cloth_named("Ferry cotton twill")
    send_form(
      "/shelf",
      "cloth" => cloth.id.to_s,
      "label" => "F9",
      "delivered" => "12.5 m",
      "batch" => "33",
      "pattern_start" => ""
    )
    assert_equal 303, last_response.status
    piece = workroom.shelf.all.find { |record| record.label == "F9" }
    assert_equal({"delivered" => "12.5 m", "batch" => "33"}, piece.spec)
    follow_redirect!
    assert_match(/Piece F9 Ferry cotton twill/, text)
    assert_match(/Its batch is 33; the others of this cloth are 31/, text)
  end

  def test_what_cannot_be_received_stays_in_its_fields
    cloth = cloth_named("Ferry cotton twill")
    before = workroom.shelf.all.size
    send_form("/shelf", "cloth" => cloth.id.to_s, "label" => "F1", "delivered" => "12.5 m")
    assert_equal 422, last_response.status
    assert_match(/the name of another piece/, text)
    send_form("/shelf", "cloth" => cloth.id.to_s, "label" => "F9", "delivered" => "twelve")
    assert_equal 422, last_response.status
    assert_match(/value="twelve"/, last_response.body)
    assert_match(/can't be read as a length/i, text)
    assert_equal before, workroom.shelf.all.size
  end

  def test_a_narrow_piece_says_what_it_changes_and_is_settled
    piece = piece_named("J1")
    get "/shelf/#{piece.id}"
    flat = text
    assert_match(/It is 135.5 cm wide, reckoned with 137.0 cm/, flat)
    assert_match(/Breakfast room: needs 7.23 m of it\. East window : as before/, flat)
    refute_match(/15\d\d\.0 = 15/, flat)
    workroom.shelf.update(piece.id, piece.spec.merge("width" => "90 cm"), version: piece.version)
    get "/shelf/#{piece.id}"
    assert_match(/Breakfast room: needs [\d.]+ m of it, in place of 7.23 m\./, text)
    workroom.shelf.update(piece.id, piece.spec, version: piece.version + 1)
    piece = piece_named("J1")
    send_form("/shelf/#{piece.id}/settle", "version" => piece.version.to_s, "how" => "cloth")
    assert_equal "135.5 cm", cloth_named("Jetty stripe").spec["width"]
    get "/shelf/#{piece.id}"
    refute_match(/reckoned with 137/, text)
  end

  def test_a_piece_that_came_short_says_which_job_it_is_short_for
    piece = piece_named("R1")
    send_form(
      "/shelf/#{piece.id}",
      "version" => piece.version.to_s,
      "label" => "R1",
      "delivered" => "25 m",
      "measured" => "3 m",
      "pattern_start" => "22 cm"
    )
    assert_equal 422, last_response.status, "its flaws lie beyond"
    workroom.shelf.update(piece.id, {"delivered" => "25 m", "measured" => "3 m"}, version: piece.version)
    get "/shelf/#{piece.id}"
    assert_match(/Residents' lounge: needs .* All pieces of it together are 21.43 m: not enough/, text)
  end

  def test_a_piece_can_be_cut_all_the_same
    piece = piece_named("J1")
    send_form("/shelf/#{piece.id}/settle", "version" => piece.version.to_s, "how" => "piece")
    assert piece_named("J1").spec["accepted"]
    assert_match(/To be cut although it differs/, get("/shelf/#{piece.id}") && text)
  end

  def test_flaws_are_told_moved_and_taken_away
    piece = piece_named("R2")
    flaw(piece, "from" => "3.2 m", "to" => "3.25 m", "what" => "knot")
    assert_equal [{"from" => "3200 mm", "to" => "3250 mm", "what" => "knot"}], piece_named("R2").spec["flaws"]
    flaw(piece_named("R2"), "flaw" => "0", "from" => "330", "to" => "335")
    assert_equal [{"from" => "3300 mm", "to" => "3350 mm", "what" => "knot"}], piece_named("R2").spec["flaws"]
    flaw(piece_named("R2"), "from" => "11 m", "to" => "13 m")
    assert_equal 422, last_response.status
    assert_match(/lies outside its piece of cloth/i, text)
    flaw(piece_named("R2"), "flaw" => "0", "remove" => "yes")
    assert_empty piece_named("R2").spec["flaws"]
    assert_match(
      /A flaw was none.*A flaw was moved.*A flaw was found, 320.0 cm to 325.0 cm knot/m,
      get("/shelf/#{piece.id}") && text
    )
  end

  def test_a_piece_changed_meanwhile_is_told
    piece = piece_named("R2")
    flaw(piece, "from" => "1 m", "to" => "1.1 m")
    flaw(piece, "from" => "2 m", "to" => "2.1 m")
    assert_equal 2, piece_named("R2").piece.flaws.size, "each adds a flaw of their own"
    flaw(piece, "flaw" => "0", "from" => "3 m", "to" => "3.1 m")
    assert_equal 409, last_response.status
    assert_match(/Somebody else changed or cut this piece meanwhile/, text)
    assert_includes last_response.body, 'value="3 m"'
    assert_equal 2, piece_named("R2").piece.flaws.size
  end

  def test_a_piece_is_not_measured_shorter_than_what_is_cut_of_it
    piece = piece_named("F1")
    workroom.transaction do
      workroom.shelf.take(piece.id, :cut, R::Length.cm(0), R::Length.cm(500), least: R::Length.cm(30))
    end
    send_form(
      "/shelf/#{piece.id}",
      "version" => (piece.version + 1).to_s,
      "label" => "F1",
      "delivered" => "9 m",
      "measured" => "4 m"
    )
    assert_equal 422, last_response.status
    assert_match(/less than what is cut of it already: 500.0 cm/, text)
    get "/shelf/#{piece.id}"
    assert_match(/905.0 = 500.0 cut \+ 405.0 left/, text)
  end

  def test_a_piece_goes_off_the_shelf_and_comes_back
    piece = piece_named("F2")
    send_form("/shelf/#{piece.id}/used-up", "used_up" => "yes")
    get "/shelf"
    refute_match(/F2/, text)
    send_form("/shelf/#{piece.id}/used-up", "used_up" => "no")
    get "/shelf"
    assert_match(/F2/, text)
  end

  def test_the_shelf_goes_out_as_a_table_and_comes_in_again
    get "/shelf.csv"
    table = last_response.body
    assert_match(/\ACloth,Piece,Batch,Length delivered/, table)
    before = pieces_by_label
    workroom.rows(:pieces).delete
    bring_in(table)
    assert_equal 303, last_response.status
    assert_equal before, pieces_by_label
  end

  def pieces_by_label =
    workroom.shelf.all.map do |record|
      [record.label, record.piece.with(place: "", label: "").to_h.except(:life)]
    end

  def test_a_table_is_taken_in_whole_or_not_at_all
    before = workroom.shelf.all.map(&:label)
    bring_in(
      <<~CSV
        Cloth,Piece,Length delivered,Flaws
        Ferry cotton twill,Q1,3 m,
        No such cloth,Q2,4 m,
        Ferry cotton twill,Q3,soon,
        Ferry cotton twill,Q4,2 m,over there
      CSV
    )
    assert_equal 422, last_response.status
    flat = text
    assert_match(/Line 3, cloth: names no cloth.*Line 4, delivered: can't be read.*Line 5, flaws/, flat)
    assert_equal before, workroom.shelf.all.map(&:label)
    bring_in("Cloth,Piece,Length delivered\nFerry cotton twill,F1,3 m\n")
    assert_match(/A piece of one of these names is on the shelf already/, text)
    ["", "nothing, of, the\nsort,", "\xFF\xFE", "\"open"].each do |odd|
      bring_in(odd)
      assert_equal 422, last_response.status
    end
  end

  # Whatever a spreadsheet at home elsewhere makes of it: signs, letters, headings, empty lines, and a person's hyphen.
  def test_a_table_of_any_spreadsheet_is_taken_in
    workroom.cloths.create(cloth_named("Ferry cotton twill").spec.merge("name" => "Toile écrue"), colour: "#ffffff")
    table = "CLOTH;piece ;Length Delivered;Flaws;End cut square\r\n" \
      "Toile écrue;W1;12,5 m;3,2 m - 3,3 m slub – thick; Yes\r\n;;;;\r\n" \
      "Toile écrue;W2;20 yards;2 feet – 3 feet;\r\n"
    bring_in(table.encode(Encoding::WINDOWS_1252).b)
    assert_equal 303, last_response.status, text
    first, second = %w[W1 W2].map { |label| piece_named(label).piece }
    assert_equal ["12500 mm", true, "slub – thick"], [first.length.inspect, first.squared, first.flaws.first.what]
    assert_equal R::Length.inches(720), second.length
    assert_equal [R::Length.inches(24), R::Length.inches(36)], second.flaws.first.then { |one| [one.from, one.to] }
    before = pieces_by_label
    get "/shelf.csv"
    workroom.rows(:pieces).delete
    bring_in(CSV.parse(last_response.body).map { |line| CSV.generate_line(line, col_sep: "\t") }.join)
    assert_equal 303, last_response.status, text
    assert_equal before.map(&:first), pieces_by_label.map(&:first)
  end

  # A roll of 25 cm is none: metres were meant, or it is said.
  def test_a_roll_typed_in_metres_is_not_taken_for_centimetres
    cloth = cloth_named("Ferry cotton twill")
    send_form("/shelf", "cloth" => cloth.id.to_s, "label" => "S1", "delivered" => "25")
    assert_equal 422, last_response.status
    assert_match(/write 25 m, or 25 cm/, text)
    {"S2" => ["25 m", 25_000], "S3" => ["25 cm", 250], "S4" => ["120", 1200], "S5" => ["20 yd", 18_288]}
      .each do |label, (typed, millimetres)|
        send_form("/shelf", "cloth" => cloth.id.to_s, "label" => label, "delivered" => typed)
        assert_equal 303, last_response.status, typed
        assert_equal millimetres, piece_named(label).piece.length.mm
      end
    bring_in("Cloth,Piece,Length delivered\nFerry cotton twill,S6,12.5\n")
    assert_match(/Line 2, delivered: can hardly be centimetres: write 12.5 m/, text)
  end

  def test_cells_that_a_spreadsheet_would_run_are_guarded
    cloth = cloth_named("Ferry cotton twill")
    workroom.shelf.receive(cloth.id, "=1+1", {"delivered" => "3 m", "batch" => "@now"})
    get "/shelf.csv"
    assert_match(/Ferry cotton twill,'=1\+1,'@now/, last_response.body)
  end

  def test_odd_requests_are_refused_with_words
    get "/shelf/99999999"
    assert_equal 404, last_response.status
    get "/shelf/abc"
    assert_equal 404, last_response.status
    send_form("/shelf", "cloth" => "x", "label" => "a", "delivered" => "1 m")
    assert_equal 404, last_response.status
    send_form("/shelf/#{piece_named("R1").id}/flaws", "from" => ["1"], "to" => {"a" => "b"}, "version" => "0")
    assert_equal 422, last_response.status
  end

  def test_a_jobs_document_takes_its_pieces_along_and_brings_them_back
    lounge = job("Residents' lounge")
    get "/jobs/#{lounge.id}/job.fold.json"
    document = JSON.parse(last_response.body)
    reed = document["cloths"].find { |cloth| cloth["name"] == "Reedbed linen union" }
    assert_equal %w[R1 R2 R3], reed["pieces"].map { |piece| piece["id"] }
    plan = EarnestFold::Documents::PlanFormat.new(
      R::JobReckoning.new(EarnestFold::Documents::JobFormat.read_strictly(last_response.body))
    ).to_h
    assert_empty plan["cloths"][reed["id"]]["uncut"]
    [:papers, :jobs, :cloths].each { |table| workroom.rows(table).delete }
    post_file("/jobs/import", JSON.generate(document), "job.fold.json", "application/json")
    assert_equal %w[R1 R2 R3], workroom.shelf.all.select { |record| record.label.start_with?("R") }.map(&:label)
    get "/jobs/#{workroom.jobs.list.first.id}/job.fold.json"
    assert_equal reed["pieces"],
      JSON.parse(last_response.body)["cloths"].find { |cloth| cloth["name"] == "Reedbed linen union" }[
        "pieces"
      ]
  end

  def test_queries_do_not_grow_with_pieces_or_jobs
    asked = -> { [queries { get "/shelf" }, queries { get "/shelf/#{piece_named("J1").id}" }] }
    asked.call
    more(1)
    few, again = asked.call, asked.call
    more(6)
    assert_equal [few, again], [asked.call, asked.call]
    assert_operator again.sum, :<, few.sum
  end

  private

  # So many pieces more of one cloth, and jobs that use it.
  def more(number)
    cloth, spec = cloth_named("Jetty stripe"), job("Breakfast room").treatments.first.spec
    number.times do |index|
      workroom.shelf.receive(cloth.id, "Q#{number}-#{index}", {"delivered" => "3 m"})
      workroom.jobs.bring_in(title: "More", unit: "cm", extras: {}, cloths: {}, windows: [["a", "b", [spec]]])
    end
  end

  def cloth_named(name) = workroom.cloths.all.find { |cloth| cloth.spec["name"] == name }

  def piece_named(label) = workroom.shelf.all.find { |record| record.label == label }

  def flaw(piece, fields) = send_form("/shelf/#{piece.id}/flaws", "version" => piece.version.to_s, **fields)

  def bring_in(table) = post_file("/shelf/bring-in", table, "shelf.csv", "text/csv")

  def post_file(path, content, name, type)
    get "/jobs"
    token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
    file = Rack::Test::UploadedFile.new(StringIO.new(content), type, original_filename: name)
    post(path, "file" => file, "authenticity_token" => token)
  end
end
