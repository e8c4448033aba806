# frozen_string_literal: true

require "web_test_helper"

# Tapes of the house: written down, taken by a heading, departed from, named on lists, out and in with a job.
class TapesTest < WebTest
  WAVE = {
    "name" => "Wave, two pitches", "kind" => "wave", "depth" => "7.6 cm", "turn_in" => "2 cm",
    "pitches" => [{"pitch" => "14 cm", "mark" => "dot"}, {"pitch" => "17.6 cm", "mark" => "bar"}], "price" => "4.60"
  }.freeze
  CORDED = {
    "name" => "Narrow tape", "kind" => "corded", "below" => "1 cm", "turn_in" => "2 cm", "row_top" => "0.8 cm",
    "row_bottom" => "2 cm"
  }.freeze

  def test_a_tape_is_written_down_with_what_its_kind_has
    send_form("/tapes", "name" => "Soft tape", "kind" => "wave")
    id = last_response["Location"][%r{/tapes/(\d+)}, 1]
    get "/tapes/#{id}"
    assert_told("Pitches")
    refute_includes last_response.body, "pocket_pitch"
    send_form("/tapes/#{id}", "pitches" => "14 dot; 17.6 cm long bar", "turn_in" => "1", "version" => "0")
    kept = workroom.house.read.tape(id).spec
    assert_equal [{"pitch" => "14 cm", "mark" => "dot"}, {"pitch" => "17.6 cm", "mark" => "long bar"}], kept["pitches"]
    get "/tapes/#{id}"
    assert_includes last_response.body, "14 dot; 17.6 long bar"
    get "/tapes"
    assert_told("Soft tape")
  end

  def test_what_cannot_be_read_is_said_at_its_field
    send_form("/tapes", "name" => "", "kind" => "wave")
    assert_equal 422, last_response.status
    send_form("/tapes", "name" => "Soft", "kind" => "ribbon")
    assert_equal 422, last_response.status
    id = workroom.tapes.create(WAVE)
    send_form("/tapes/#{id}", "pitches" => "dot; 3 bar", "version" => "0")
    assert_equal 422, last_response.status
    assert_equal WAVE, workroom.house.read.tape(id).spec
  end

  def test_two_people_at_two_fields_both_win
    id = workroom.tapes.create(WAVE)
    send_form("/tapes/#{id}", "depth" => "8", "version" => "0")
    send_form("/tapes/#{id}", "turn_in" => "3", "version" => "0", "saw[turn_in]" => "2")
    assert_equal ["8 cm", "3 cm"], workroom.house.read.tape(id).spec.values_at("depth", "turn_in")
  end

  def test_a_heading_takes_the_tape_s_figures_and_departs_from_them
    id = workroom.tapes.create(CORDED)
    take("tape" => id.to_s)
    assert_equal ["1 cm", "2 cm"], heading.values_at("tape_below", "tape_turn_in")
    take("heading.hook_row" => "bottom")
    assert_equal "2 cm", heading["hook_below"]
    take("heading.tape_below" => "1.5")
    get station(office, "heading")
    assert_told("departs; rule 1")
    take("back_to_rule" => "heading.tape_below")
    assert_equal "1 cm", heading["tape_below"].sub("1.0", "1")
    take("tape" => "")
    refute spec.key?("tape")
  end

  def test_another_heading_and_an_unknown_tape_leave_none
    id = workroom.tapes.create(CORDED)
    take("tape" => id.to_s)
    take("heading.kind" => "wave")
    refute spec.key?("tape")
    take("tape" => id.to_s)
    refute spec.key?("tape")
    take("tape" => "999999")
    refute spec.key?("tape")
  end

  def test_a_wave_tape_s_pitches_are_chosen_from
    take("heading.kind" => "wave")
    take("tape" => workroom.tapes.create(WAVE).to_s)
    assert_equal "14 cm", heading["hook_pitch"]
    get station(office, "heading")
    assert_told("1.75 full")
    assert_told("2.2 full")
    take("heading.hook_pitch" => "17.6 cm")
    assert_equal "17.6 cm", heading["hook_pitch"]
  end

  def test_lists_name_the_tape_and_a_job_takes_it_along
    id = workroom.tapes.create(CORDED.merge("price" => "2.50"))
    take("tape" => id.to_s)
    get "/jobs/#{office.id}/needs.csv"
    assert_match(/Tape: Narrow tape,"",[\d.]+,cm,"",[\d.]+/, last_response.body)
    get "/jobs/#{office.id}/job.fold.json"
    document = JSON.parse(last_response.body)
    assert_equal ["Narrow tape"], document["tapes"].map { |tape| tape["name"] }
    import(last_response.body)
    assert_equal 1, workroom.house.read.tapes.count { |tape| tape.spec["name"] == "Narrow tape" }
    brought = workroom.jobs.find(last_response["Location"][%r{/jobs/(\d+)}, 1].to_i).treatments.first
    assert_equal id.to_s, brought.spec["tape"]
  end

  # What the tape says the document's heading needn't.
  def test_a_document_s_heading_has_its_tape_s_figures
    get "/jobs/#{office.id}/job.fold.json"
    document = JSON.parse(last_response.body)
    made = document.dig("windows", 0, "treatments", 0)
    made["tape"], made["heading"] = "w", {"kind" => "wave", "glider_spacing" => "8 cm", "tape_below" => nil}
    document["tapes"] = [{"id" => "w", **WAVE}]
    import(JSON.generate(document))
    brought = workroom.jobs.find(last_response["Location"][%r{/jobs/(\d+)}, 1].to_i).treatments.first.spec
    assert_equal ["14 cm", "2 cm"], brought["heading"].values_at("hook_pitch", "tape_turn_in")
    made["tape"] = "x"
    import(JSON.generate(document))
    assert_told("names no tape of this job")
    made["tape"], made["heading"] = "w", {"kind" => "pencil_pleat", "fullness" => 2}
    import(JSON.generate(document))
    assert_told("names a tape that this heading can't take")
  end

  private

  def take(**fields) = save(office, "heading", **fields)

  def spec = office.treatments.first.spec

  def heading = spec["heading"]

  def assert_told(words) = assert_includes(text, words)

  def import(document)
    file = Rack::Test::UploadedFile.new(StringIO.new(document), "application/json", original_filename: "j.fold.json")
    send_form("/jobs/import", "file" => file)
  end
end
