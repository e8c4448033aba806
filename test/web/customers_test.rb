# frozen_string_literal: true

require "json"
require "rubygems/package"
require "web_test_helper"

# For whom the workroom works, from a name alone to everything that can be said; and what a customer sees by a link.
class CustomersPagesTest < WebTest
  def setup
    super
    workroom.rows(:paper_numbers).delete
  end

  def test_a_name_is_enough_all_the_way
    assert_equal 200, get("/customers").status
    assert_match(/Nobody yet/, text)
    assert_equal 303, send_form("/customers", "name" => " Wenna Tern ").status
    follow_redirect!
    assert_match(/Wenna Tern/, text)
    assert_match(/No job yet/, text)
    refute_match(/same person twice/, text)
    assert_equal 422, send_form("/customers", "name" => "").status
    assert_match(/Give them a name/, text)
    assert_equal 422, send_form("/customers", "name" => "Wenna", "mail" => "nowhere").status
    assert_match(/no mail address/, text)
    assert_includes last_response.body, %(value="nowhere")
  end

  def test_everything_that_can_be_said_of_them
    wenna = added
    fields = {
      "mail" => "wenna@tern.example", "phone" => "01555/0177", "address" => "3 Weir Cottages\r\nSallow Reach",
      "notes" => "Ring first"
    }
    send_form("/customers/#{wenna}", **fields, "saw" => fields.transform_values { "" }.merge("name" => "Wenna Tern"))
    made = workroom.customers.find(wenna)
    assert_equal ["Wenna Tern", "3 Weir Cottages\nSallow Reach"], [made.name, made.address]
    send_form("/customers/#{wenna}/houses", "name" => "Loft", "address" => "Slipway 2")
    house = workroom.customers.houses(wenna).first
    saw = {"name" => "Loft", "notes" => ""}
    changed = {"name" => "Sail loft", "notes" => "Key at the inn"}
    send_form("/customers/#{wenna}/houses/#{house.id}", **changed, "saw" => saw)
    assert_equal "Slipway 2", workroom.customers.houses(wenna).first.address
    send_form("/customers/#{wenna}/consents", "sort" => "pictures", "given" => "yes")
    get "/customers/#{wenna}"
    assert_match(/Sail loft/, text)
    assert_match(/Yes, said on .* to Ida Marram/, text)
    assert_match(/Not asked yet: taken as no/, text)
    assert_equal 404, send_form("/customers/#{wenna}/consents", "sort" => "everything").status
    assert_equal 422, send_form("/customers/#{wenna}/houses", "name" => "", "address" => "Quay 3").status
    assert_includes last_response.body, "Quay 3"
    assert_match(/Call the house something/, text)
    send_form("/customers/#{wenna}/houses/#{house.id}/remove")
    assert_empty workroom.customers.houses(wenna)
  end

  def test_two_people_at_different_fields_both_win_and_at_one_both_are_shown
    wenna = added
    saw = {"name" => "Wenna Tern", "phone" => "", "notes" => ""}
    send_form("/customers/#{wenna}", "phone" => "471", "saw" => saw)
    send_form("/customers/#{wenna}", "notes" => "Ring first", "saw" => saw)
    made = workroom.customers.find(wenna)
    assert_equal ["471", "Ring first"], [made.phone, made.notes]
    send_form("/customers/#{wenna}", "phone" => "999", "saw" => saw)
    assert_equal 409, last_response.status
    assert_match(/999/, text)
    assert_equal "471", workroom.customers.find(wenna).phone
  end

  def test_a_job_takes_somebody_known_somebody_new_or_nobody
    job = office
    send_form("/jobs/#{job.id}/customer", "customer" => "Wenna Tern")
    wenna = workroom.jobs.find(job.id).customer_id
    get "/jobs/#{job.id}"
    assert_includes last_response.body, %(href="/customers/#{wenna}")
    send_form("/jobs/#{job.id}/customer", "customer" => "wenna tern")
    assert_equal wenna, workroom.jobs.find(job.id).customer_id
    other = workroom.customers.add(name: "Wenna Tern", phone: "471")
    send_form("/jobs/#{job.id}/customer", "customer" => "Wenna Tern")
    assert_equal wenna, workroom.jobs.find(job.id).customer_id
    send_form("/jobs/#{job.id}/customer", "customer" => "")
    assert_equal 422, send_form("/jobs/#{job.id}/customer", "customer" => "Wenna Tern").status
    assert_match(/Several are called so/, text)
    send_form("/jobs/#{job.id}/customer", "customer_id" => other.to_s)
    assert_equal other, workroom.jobs.find(job.id).customer_id
    loft = workroom.customers.add_house(other, name: "Sail loft")
    send_form("/jobs/#{job.id}/customer", "customer" => "Wenna Tern", "house" => loft.to_s)
    assert_equal [other, loft], workroom.jobs.find(job.id).then { |made| [made.customer_id, made.house_id] }
    send_form("/jobs/#{job.id}/customer", "customer" => "")
    assert_nil workroom.jobs.find(job.id).customer_id
    assert_equal 404, send_form("/jobs/#{job.id}/customer", "customer_id" => "999999").status
  end

  def test_what_was_made_for_them_and_from_which_batch
    wenna = added
    workroom.jobs.set_customer(office.id, wenna)
    cut_one_of(office, batch: "B-7")
    get "/customers/#{wenna}"
    assert_match(/Ticket office/, text)
    assert_match(/Pencil pleat, of .*, batch B-7/, text)
  end

  def test_a_paper_is_addressed_to_whose_the_job_is
    wenna = workroom.customers.add(name: "Wenna Tern", address: "3 Weir Cottages\nSallow Reach")
    get "/jobs/#{office.id}/account"
    assert_includes last_response.body, %(maxlength="300"></textarea>)
    workroom.jobs.set_customer(office.id, wenna)
    get "/jobs/#{office.id}/account"
    assert_includes last_response.body, "Wenna Tern\n3 Weir Cottages\nSallow Reach</textarea>"
  end

  def test_a_customer_sees_their_quote_alone_and_answers_once
    key = link_to_quote
    env SignedIn::KEY, nil
    get "/for/#{key}"
    assert_equal 200, last_response.status
    assert_match(/Quote 1/, text)
    assert_match(/Mrs Tallow/, text)
    assert_equal "noindex", last_response["X-Robots-Tag"]
    refute_match(%r{href="/(?!for/|app\.css|icon|#)}, last_response.body)
    get "/for/#{key}/paper.pdf"
    assert last_response.body.start_with?("%PDF")
    assert_equal 422, answer(key, "said" => "accepted", "name" => " ").status
    assert_match(/Write your name/, text)
    assert_equal 303, answer(key, "said" => "accepted", "name" => "Sabra Tallow").status
    assert_equal 409, answer(key, "said" => "declined", "name" => "Somebody").status
    assert_match(/Accepted on .*, Sabra Tallow/, text)
    refute_includes last_response.body, %(name="said")
    env SignedIn::KEY, SignedIn.owner(workroom)
    get "/jobs/#{office.id}/account"
    assert_match(/accepted .* Sabra Tallow/, text)
  end

  def test_a_link_is_told_once_and_taken_back
    key = link_to_quote
    get "/jobs/#{office.id}/account"
    refute_includes last_response.body, key
    assert_match(/Link good until/, text)
    paper = workroom.bills.of(office.id).first
    send_form("/jobs/#{office.id}/papers/#{paper.id}/link/take-back")
    env SignedIn::KEY, nil
    ["/for/#{key}", "/for/#{key}/paper.pdf", "/for/x", "/for/%00"].each do |path|
      get path
      assert_includes [400, 404], last_response.status, path
      refute_match(/Tallow|Ticket office/, text)
    end
  end

  def test_a_slip_that_was_handed_out_stays_as_it_was
    chapel = job("Ferry chapel")
    work = chapel.treatments.find { |record| record.sort == "altered" }
    at = "/jobs/#{chapel.id}/treatments/#{work.id}"
    send_form("#{at}/slips")
    get "#{at}/came-in"
    key = last_response.body[%r{/for/([\w-]{43})"}, 1]
    assert_equal 200, get("#{at}/slips/#{workroom.slips.of(work.id).first.id}.pdf").status
    send_form("#{at}/came-in/notes", "sort" => "mark", "place" => "middle", "words" => "Tar from the slipway")
    env SignedIn::KEY, nil
    get "/for/#{key}"
    assert_equal 200, last_response.status
    refute_match(/Tar from the slipway/, text)
    get "/for/#{key}/paper.pdf"
    assert last_response.body.start_with?("%PDF")
    answer(key, "said" => "declined", "name" => "Wenna Tern")
    assert_equal "declined", workroom.slips.of(work.id).first.answer.said
  end

  def test_all_that_is_known_of_them_as_one_file
    wenna = added
    workroom.jobs.set_customer(office.id, wenna)
    link_to_quote
    get "/customers/#{wenna}/known.tar"
    files = Gem::Package::TarReader.new(StringIO.new(last_response.body)).to_h { |one| [one.full_name, one.read] }
    told = JSON.parse(files.fetch("customer.json"))
    assert_equal "Wenna Tern", told["customer"]["name"]
    assert_equal ["Ticket office"], told["jobs"].map { |made| made["title"] }
    assert_equal ["quote"], told["jobs"].first["papers"].map { |paper| paper["kind"] }
    assert files.fetch("job-#{office.id}/quote-1.pdf").start_with?("%PDF")
  end

  def test_who_asks_for_it_is_forgotten_once_it_was_said
    wenna = added
    workroom.jobs.set_customer(office.id, wenna)
    id = office.id
    assert_equal 422, send_form("/customers/#{wenna}/forget").status
    assert_match(/Nothing was forgotten/, text)
    send_form("/customers/#{wenna}/forget", "sure" => "yes")
    assert_equal 404, get("/customers/#{wenna}").status
    assert_equal "Job #{id}", workroom.jobs.find(id).title
  end

  def test_two_who_are_one
    wenna = added
    other = workroom.customers.add(name: "wenna tern", mail: "wenna@tern.example")
    get "/customers/#{wenna}"
    assert_match(/same person twice/, text)
    send_form("/customers/#{wenna}/merge", "other" => other.to_s)
    assert_equal "wenna@tern.example", workroom.customers.find(wenna).mail
    assert_equal 404, get("/customers/#{other}").status
    assert_equal 404, send_form("/customers/#{wenna}/merge", "other" => "x").status
  end

  def test_found_by_the_workrooms_own_search
    added
    get "/find?q=tern"
    assert_match(/Wenna Tern/, text)
  end

  # In whatever order they come to mind: each word stands somewhere in it.
  def test_jobs_and_cloths_are_found_by_their_words
    {"quay ticket" => "Quay window", "OFFICE tick" => "Ticket office", "velvet moor" => "Mooring velvet"}
      .each do |words, found|
        get "/find?q=#{Rack::Utils.escape(words)}"
        assert_includes text, found, words
      end
    send_form("/jobs/#{office.id}/papers", "kind" => "quote", "customer" => "Mrs Tallow")
    {"f1" => "F1 Ferry cotton twill", "1" => "Quote 1: Ticket office", "quote 1" => "Quote 1: Ticket office"}
      .each do |words, found|
        get "/find?q=#{Rack::Utils.escape(words)}"
        assert_includes text, found, words
      end
    env SignedIn::KEY, SignedIn.owner(workroom).with(role: "maker", books: false)
    get "/find?q=1"
    refute_match(/Quote/, text)
    get "/find?q=quay+velvet+%25"
    refute_match(/Quay window|Mooring velvet/, text)
  end

  private

  def added = workroom.customers.add(name: "Wenna Tern")

  def link_to_quote
    send_form("/jobs/#{office.id}/papers", "kind" => "quote", "customer" => "Mrs Tallow")
    send_form("/jobs/#{office.id}/papers/#{workroom.bills.of(office.id).first.id}/link/make")
    get "/jobs/#{office.id}/account"
    last_response.body[%r{http://127.0.0.1/for/([\w-]{43})"}, 1]
  end

  def answer(key, fields)
    get "/for/#{key}"
    token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1] || @token
    @token = token
    post "/for/#{key}", fields.merge("authenticity_token" => token)
    last_response
  end

  # As the table leaves it.
  def cut_one_of(job, batch:)
    made = job.treatments.first
    piece = workroom.shelf.all.first
    workroom.rows(:pieces).where(id: piece.id).update(spec: Sequel.lit("spec || ?::jsonb", %({"batch": "#{batch}"})))
    cut = {treatment: made.id.to_s, part: "face", curtain: "left", width: 1}
    plan = workroom.insert(:plans, job_id: job.id, cloth_id: piece.cloth_id, proved: true, used: "1", bound: "1")
    workroom.insert(
      :plan_cuts, plan_id: plan[:id], job_id: job.id, cloth_id: piece.cloth_id, piece_id: piece.id,
      datum: "0", from: "0", to: "1000", cut: Sequel.pg_jsonb(cut), state: "cut", position: 1
    )
  end
end
