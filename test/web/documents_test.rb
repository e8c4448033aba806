# frozen_string_literal: true

require "web_test_helper"
require "golden/comparison"
require "nokogiri"

# Job documents in and out: what goes out comes back the same, figures included.
class DocumentsTest < WebTest
  Dir[File.expand_path("../golden/*.fold.json", __dir__)].sort.each do |file|
    define_method(:"test_#{File.basename(file, ".fold.json")}_goes_in_and_comes_out_the_same") do
      bring_in(File.read(file))
      assert_equal 303, last_response.status, last_response.body
      job = last_response.headers["Location"][/\d+\z/]
      first = take_out(job)
      assert_empty differences(file, first)
      bring_in(first)
      second = take_out(last_response.headers["Location"][/\d+\z/])
      assert_equal without_ids(first), without_ids(second)
      every_station_changes_nothing(job)
    end
  end

  def test_a_demo_job_goes_out_and_comes_back
    before = workroom.cloths.all.size
    text = take_out(office.id)
    assert_empty EarnestFold::Documents::Schema.misfits(JSON.parse(text))
    bring_in(text)
    back = workroom.jobs.find(Integer(last_response.headers["Location"][/\d+\z/], 10))
    assert_equal office.treatments.first.spec, back.treatments.first.spec
    assert_equal before, workroom.cloths.all.size
  end

  def test_a_faulty_document_is_refused_whole_with_every_place
    document = JSON.parse(take_out(office.id))
    document["windows"][0]["treatments"][0]["drop"]["readings"] = []
    document["windows"][0]["treatments"][0]["face"] = "nowhere"
    jobs = workroom.jobs.list.size
    bring_in(JSON.generate(document))
    assert_equal 422, last_response.status
    assert_includes text, "/windows/0/treatments/0/drop/readings"
    assert_includes text, "/windows/0/treatments/0/face"
    assert_equal jobs, workroom.jobs.list.size
  end

  def test_what_a_stranger_adds_does_no_harm
    document = JSON.parse(take_out(office.id))
    made = document["windows"][0]["treatments"][0]
    made["answers"] = ["x"]
    made["drop"]["taken_at"] = {"a" => 1}
    made["surprise"] = {"deep" => [1, 2]}
    bring_in(JSON.generate(document))
    job = workroom.jobs.find(Integer(last_response.headers["Location"][/\d+\z/], 10))
    %w[measure heading cloth cutting ticket changes].each do |name|
      get station(job, name)
      assert_equal 200, last_response.status
    end
  end

  def test_what_is_no_document_is_refused
    ["", "not json", "{}"].each do |nothing|
      bring_in(nothing)
      assert_equal 422, last_response.status
    end
    send_form("/jobs/import")
    assert_equal 422, last_response.status
  end

  private

  def bring_in(text) =
    send_form(
      "/jobs/import",
      "file" => Rack::Test::UploadedFile.new(StringIO.new(text), "application/json", original_filename: "job.fold.json")
    )

  def take_out(job)
    get "/jobs/#{job}/job.fold.json"
    assert_equal 200, last_response.status
    last_response.body
  end

  # Every station shows what came in, and sending back what it shows changes nothing.
  def every_station_changes_nothing(id)
    before = workroom.jobs.find(Integer(id, 10))
    before.treatments.each do |treatment|
      ((treatment.sort == "altered") ? %w[measure alter] : %w[measure heading cloth]).each do |name|
        path = "/jobs/#{id}/treatments/#{treatment.id}/#{name}"
        get path
        assert_equal 200, last_response.status, path
        send_form(path, "version" => treatment.version.to_s, "unit" => before.unit, **fields_shown)
        assert_equal 303, last_response.status, path
      end
      get "/jobs/#{id}/treatments/#{treatment.id}/#{(treatment.sort == "altered") ? "making" : "cutting"}"
      assert_equal 200, last_response.status
    end
    assert_equal before.treatments, workroom.jobs.find(before.id).treatments
  end

  def fields_shown
    page = Nokogiri::HTML(last_response.body)
    inputs =
      page
        .css("#station-form input[type!=hidden], #station-form input:not([type])")
        .to_h { |input| [input["name"], input["value"].to_s] }
    inputs.merge(
      page
        .css("#station-form select")
        .to_h { |select| [select["name"], (select.at_css("option[selected]") || select.at_css("option"))["value"]] }
    )
  end

  # Ids are the database's own; the figures must be those of the worked job.
  def differences(file, text)
    job = EarnestFold::Documents::JobFormat.read(text)
    got = JSON.parse(
      JSON.generate(EarnestFold::Documents::ReckoningFormat.new(EarnestFold::Reckoning::JobReckoning.new(job)).to_h)
    )
    expected = JSON.parse(File.read(file.sub(".fold.json", ".expected.json")))
    Comparison.new.differences(
      [expected["treatments"].values, expected["alterations"]].compact,
      [got["treatments"].values, got["alterations"]].first(expected["alterations"] ? 2 : 1)
    )
  end

  def without_ids(text) = text.gsub(/"(id|face|cloth)": "\d+"/, '"\1": "…"')
end
