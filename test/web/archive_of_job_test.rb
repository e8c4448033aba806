# frozen_string_literal: true

require "web_test_helper"
require "vips"
require "json"
require "rubygems/package"

# A job goes out whole and comes in the same: its document, notes, dates, account, what was said at the bench and
# learnt, what came in with photographs, papers and answers.
class ArchiveOfJobTest < WebTest
  A = EarnestFold::Documents::JobArchive

  def test_a_job_comes_in_as_it_went_out
    full = fill(job("Breakfast room"))
    before = taken(full)
    empty_place
    bring_in(before)
    assert_equal 303, last_response.status, text
    again = taken(workroom.jobs.list.first)
    assert_equal files(before).keys, files(again).keys
    assert_equal rest(before), rest(again)
    assert_equal JSON.parse(files(before)["job.fold.json"])["title"], JSON.parse(files(again)["job.fold.json"])["title"]
    get "/jobs/#{workroom.jobs.list.first.id}"
    assert_match(/Quote \d+, accepted/, text)
    get "/books"
    assert_equal 200, last_response.status
  end

  def test_alterations_keep_what_came_in_with_them
    chapel = job("Ferry chapel")
    work = chapel.treatments.first.id
    picture = Vips::Image.black(300, 200, bands: 3).copy(interpretation: :srgb).jpegsave_buffer(strip: true)
    workroom.came_in.add_photograph(work, picture, width: 300, height: 200, words: "the left one")
    before = taken(chapel)
    assert_equal "photographs/1.jpg", files(before).keys.last
    empty_place
    bring_in(before)
    made = workroom.jobs.find(workroom.jobs.list.first.id).treatments.first.id
    assert_equal ["candle wax, two drops", ""], workroom.came_in.notes(made).map(&:words)
    assert_equal [["the left one", 300, 200]],
      workroom.came_in.photographs(made).map { |one| [one.words, one.width, one.height] }
    assert_equal picture, files(taken(workroom.jobs.list.first))["photographs/1.jpg"]
  end

  def test_whose_it_is_goes_along_and_is_known_again
    tern = workroom.customers.add(name: "Wenna Tern", phone: "01555 0177")
    workroom.jobs.set_customer(office.id, tern, workroom.customers.add_house(tern, name: "Sail loft"))
    whole = taken(office)
    empty_place
    workroom.rows(:customers).delete
    2.times { bring_in(whole) }
    made = workroom.jobs.list.map { |line| workroom.jobs.find(line.id) }
    assert_equal 1, made.map(&:customer_id).uniq.size
    assert_equal 1, made.map(&:house_id).uniq.size
    told = workroom.customers.list.map { |one| [one.customer.name, one.houses.size, one.jobs] }
    assert_equal [["Wenna Tern", 1, 2]], told
    assert_equal rest(whole), rest(taken(workroom.jobs.list.first))
  end

  # Every job of the demo house.
  def test_every_job_goes_out_and_in
    workroom.jobs.list.each do |line|
      whole = taken(line)
      bring_in(whole)
      assert_equal 303, last_response.status, "#{line.title}: #{text}"
      made = workroom.jobs.list.find { |one| one.id == last_response["Location"][/\d+\z/].to_i }
      follow_redirect!
      assert_equal 200, last_response.status
      # A number that is given out already stays where it is.
      assert_equal(*[whole, taken(made)].map { |one| rest(one).except("papers") })
    end
  end

  # Two papers never have one number: where it is taken, the paper stays away.
  def test_numbers_that_are_taken_stay_as_they_are
    full = fill(job("Breakfast room"))
    bring_in(taken(full))
    copy = workroom.jobs.find(last_response["Location"][/\d+\z/].to_i)
    refute_equal full.id, copy.id
    assert_empty workroom.bills.of(copy.id)
    assert_equal 1, workroom.bills.of(full.id).size
  end

  def test_what_is_changed_or_none_is_refused
    whole = taken(fill(job("Breakfast room")))
    kept = files(whole)
    bad = {
      "changed" => packed(kept.merge("rest.json" => kept["rest.json"].sub("Deposit", "Nothing"))),
      "cut" => whole[0, whole.bytesize / 2],
      "without a manifest" => packed(kept.except("manifest.json")),
      "not a rest" => A.pack(kept["job.fold.json"], {"works" => 7}, {}),
      "odd sums" => A.pack(kept["job.fold.json"], rest(whole).merge("account" => {"agreed" => "1e9"}), {}),
      "a photograph that is none" => A.pack(kept["job.fold.json"], pictured(rest(whole)), {"photographs/1.jpg" => "x"}),
      "no document" => A.pack("{}", rest(whole), {})
    }
    before = workroom.jobs.list.size
    bad.each do |name, bytes|
      bring_in(bytes)
      assert_equal 422, last_response.status, name
    end
    assert_equal before, workroom.jobs.list.size
  end

  private

  # All that a job can have.
  def fill(job)
    work = job.treatments.first.id
    workroom.jobs.set_notes(job.id, "Both windows together.", version: job.version)
    paid = {"on" => "2026-03-02", "name" => "Deposit", "amount" => "100.00"}
    account = {"travel" => "12.50", "agreed" => "900.00", "payments" => [paid],
               "extras" => [{"name" => "Ladder", "amount" => "15.00"}]}
    workroom.jobs.set_account(job.id, account, version: job(job.title).version)
    workroom.bench.say(work, "press_hem", "left", "measured", value: "10 cm", place: "leading")
    workroom.logbook.note(work, went_wrong: "The stripe crept.", next_time: "Pin across.")
    send_form("/jobs/#{job.id}/papers", "kind" => "quote", "customer" => "Mrs Tallow")
    workroom.bills.answer(job.id, workroom.bills.of(job.id).first.id, "accepted", Date.new(2026, 3, 3))
    job(job.title)
  end

  def taken(job)
    get "/jobs/#{job.id}/job.fold.tar"
    assert_equal 200, last_response.status
    last_response.body
  end

  def bring_in(bytes)
    get "/jobs"
    token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
    whole = StringIO.new(bytes)
    file = Rack::Test::UploadedFile.new(whole, "application/x-tar", true, original_filename: "job.fold.tar")
    post "/jobs/import", "file" => file, "authenticity_token" => token
  end

  def empty_place
    [:papers, :paper_numbers, :jobs, :cloths].each { |table| workroom.rows(table).delete }
  end

  def files(bytes) =
    Gem::Package::TarReader.new(StringIO.new(bytes)).each.to_h { |entry| [entry.full_name, entry.read.to_s] }

  def rest(bytes) = JSON.parse(files(bytes).fetch("rest.json"))

  def packed(files)
    made = StringIO.new("".b)
    Gem::Package::TarWriter.new(made) do |tar|
      files.each { |name, bytes| tar.add_file_simple(name, 0o644, bytes.bytesize) { |entry| entry.write(bytes) } }
    end
    made.string
  end

  def pictured(rest)
    picture = {"file" => "photographs/1.jpg", "at" => "2026-03-02T10:00:00Z"}
    rest.merge("works" => [rest["works"].first.merge("photographs" => [picture])])
  end
end
