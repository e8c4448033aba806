# frozen_string_literal: true

require "web_test_helper"

# What is made beside the curtains, from Heading on: tiebacks and a frill, of another cloth that nothing else is cut of.
class BesideTest < WebTest
  def setup
    super
    workroom.cloths.create({"name" => "Quay stripe", "use" => "face", "width" => "140 cm"}, colour: "#cccccc")
    save(
      office,
      "heading",
      "tieback.girth" => "52",
      "tieback.finished_depth" => "6",
      "heading.puffed_frill" => "5",
      "trimming" => stripe.id.to_s
    )
  end

  def test_they_are_needed_made_carried_and_hung
    get "/jobs/#{office.id}"
    assert_match(/#{stripe.spec["name"]}: frills, tiebacks and small parts/, text)
    get "/jobs/#{office.id}/needs.csv"
    assert_match(/frills, tiebacks and small parts.*,"",[\d.]+,cm/, last_response.body)
    assert_match(/^Rings on tiebacks,"",4/, last_response.body)
    get "/jobs/#{office.id}/order.csv"
    assert_includes last_response.body, stripe.spec["name"]
    assert_match(/^Rings on tiebacks,"",4,4,4/, last_response.body)
    refute_match(/^(Hooks|Tiebacks),/, last_response.body)
    get "/jobs/#{office.id}/order.pdf"
    assert_equal 200, last_response.status
    get station(office, "making")
    assert_match(/Make the frill.*Set the frill.*Make the tiebacks/, text)
    get station(office, "hanging")
    assert_match(/Tiebacks\s+2/, text)
    assert_match(/Put the 2 tiebacks on their hooks/, text)
  end

  def test_a_cloth_of_which_nothing_else_is_cut_has_its_place_at_cutting
    [false, true].each do |lies|
      workroom.shelf.receive(stripe.id, "Q99", {"delivered" => "3 m", "measured" => "3 m"}) if lies
      get station(office, "cutting")
      assert_equal 200, last_response.status, last_response.body[/fault[^<]*/i]
      assert_match(lies ? /2 tiebacks.*2 fitted/ : /2 tiebacks.*None fits/, text)
    end
  end

  def test_its_papers_have_no_empty_page
    get station(office, "ticket")
    assert_equal 200, last_response.status
    refute_match(/Quay stripe/, text)
    %w[plan.pdf plan.svg tickets.pdf tickets.svg].each do |file|
      get "/jobs/#{office.id}/cutting/#{stripe.id}/#{file}"
      assert_equal 200, last_response.status, file
    end
  end

  def test_the_trimming_goes_out_and_in_with_the_job
    get "/jobs/#{office.id}/job.fold.json"
    document = JSON.parse(last_response.body)
    trimming = document.dig("windows", 0, "treatments", 0, "trimming")
    assert_includes document["cloths"].map { |cloth| cloth["id"] }, trimming
    made = EarnestFold::Documents::JobFormat.read(last_response.body).treatments.first
    assert_equal stripe.spec["name"], made.trimmed_from.name
    document["windows"][0]["treatments"][0]["trimming"] = "nowhere"
    assert_raises(EarnestFold::Reckoning::Invalid) do
      EarnestFold::Documents::JobFormat.read(JSON.generate(document))
    end
  end

  def test_one_that_is_not_there_is_refused
    save(office, "heading", "trimming" => "999999")
    assert_equal 422, last_response.status
    assert_equal stripe.id.to_s, office.treatments.first.spec["trimming"]
  end

  private

  def stripe = workroom.cloths.all.find { |one| one.spec["name"] == "Quay stripe" }
end
