# frozen_string_literal: true

require "store_test_helper"

# For whom the workroom works: found by any part, merged when double, shown one paper by a link, forgotten where they
# ask.
class CustomersTest < StoreTest
  def setup = [:papers, :jobs, :customers].each { |table| workroom.rows(table).delete }

  def test_a_name_is_enough_and_any_part_finds_them
    nell = customers.add(name: "Nell Quillwort")
    tam = customers.add(name: "Tam Osier", mail: "tam@osier.example", phone: "+44 (0)471 22-88", address: "1 Weir Lane")
    customers.add_house(nell, name: "Boat house", address: "Slipway 4", notes: "Key at the chandler's")
    {
      "quill" => [nell], "QUILLWORT nell" => [nell], "slipway" => [nell], "chandler" => [nell], "osier" => [tam],
      "0471 2288" => [tam], "44/0471/22" => [tam], "weir tam" => [tam], "nell osier" => [], "%" => [], "_" => [],
      "" => [nell, tam]
    }.each { |words, found| assert_equal found, customers.list(words: words).map { |one| one.customer.id }, words }
  end

  def test_each_list_is_as_many_questions_however_many_there_are
    3.times { |index| customers.add_house(customers.add(name: "Somebody #{index}"), name: "House") }
    few = queries { customers.list }
    20.times { |index| customers.add_house(customers.add(name: "More #{index}"), name: "House") }
    assert_equal few, queries { customers.list }
  end

  def test_what_another_changed_meanwhile_is_not_written_over
    id = customers.add(name: "Nell Quillwort")
    customers.change(id, {phone: "1"}, version: 1)
    assert_raises(S::Stale) { customers.change(id, {phone: "2"}, version: 1) }
    assert_equal "1", customers.find(id).phone
  end

  def test_a_job_is_at_a_house_of_its_own_customer
    nell, tam = customers.add(name: "Nell"), customers.add(name: "Tam")
    house, job = customers.add_house(nell, name: "Boat house"), workroom.jobs.create(title: "Hall", unit: "cm")
    assert_raises(S::Missing) { workroom.jobs.set_customer(job, tam, house) }
    workroom.jobs.set_customer(job, nell, house)
    assert_equal [nell, house], workroom.jobs.find(job).then { |made| [made.customer_id, made.house_id] }
    customers.remove_house(nell, house)
    assert_equal [nell, nil], workroom.jobs.find(job).then { |made| [made.customer_id, made.house_id] }
  end

  def test_a_house_and_whose_a_job_is_are_changed_by_whoever_saw_them
    nell, job = customers.add(name: "Nell"), workroom.jobs.create(title: "Hall", unit: "cm")
    customers.add_house(nell, name: "Boat house")
    seen = customers.houses(nell).first
    customers.change_house(nell, was: seen, notes: "Ring")
    assert_raises(S::Stale) { customers.change_house(nell, was: seen, name: "Net house") }
    assert_raises(S::Missing) { customers.change_house(customers.add(name: "Tam"), was: seen, name: "Net house") }
    assert_equal ["Boat house", "Ring"], customers.houses(nell).first.then { |one| [one.name, one.notes] }
    workroom.jobs.set_customer(job, nell, version: 0)
    assert_raises(S::Stale) { workroom.jobs.set_customer(job, nil, version: 0) }
  end

  def test_one_of_next_door_is_not_there
    stranger = S::Workroom.new(other_workroom.id)
    theirs = stranger.customers.add(name: "Nell")
    job = workroom.jobs.create(title: "Hall", unit: "cm")
    assert_raises(S::Missing) { workroom.jobs.set_customer(job, theirs) }
    assert_raises(S::Missing) { customers.find(theirs) }
    assert_raises(S::Missing) { customers.add_house(theirs, name: "Boat house") }
    assert_raises(S::Missing) { S::MergingCustomers.new(workroom).merge(customers.add(name: "Nell"), theirs) }
    assert_raises(S::Missing) { S::Forgetting.new(workroom).forget(theirs) { "Job" } }
    assert_equal "Nell", stranger.customers.find(theirs).name
  end

  def test_two_who_are_one_keep_jobs_houses_and_what_they_said
    stays = customers.add(name: "Nell Quillwort", phone: "471", notes: "Rings first")
    goes = customers.add(name: "N. Quillwort", phone: "999", mail: "nell@quill.example")
    house, job = customers.add_house(goes, name: "Boat house"), workroom.jobs.create(title: "Hall", unit: "cm")
    workroom.jobs.set_customer(job, goes, house)
    customers.consent(goes, "news", true, Date.new(2026, 3, 1))
    S::MergingCustomers.new(workroom).merge(stays, goes)
    made = customers.find(stays)
    assert_equal ["Nell Quillwort", "471", "nell@quill.example"], [made.name, made.phone, made.mail]
    assert_equal "Rings first\nN. Quillwort · 999", made.notes
    assert_equal [stays, house], workroom.jobs.find(job).then { |one| [one.customer_id, one.house_id] }
    assert_equal [true], customers.consents(stays).map(&:given)
    assert_raises(S::Missing) { customers.find(goes) }
    assert_raises(S::Missing) { S::MergingCustomers.new(workroom).merge(stays, stays) }
  end

  def test_who_may_be_the_same
    nell = customers.add(name: "Nell Quillwort", phone: "0471 2288")
    same = [{name: "NELL QUILLWORT"}, {name: "N. Q.", phone: "(0471) 22-88"}].map { |values| customers.add(values) }
    customers.add(name: "Tam Osier")
    assert_equal same.sort, customers.doubles(customers.find(nell)).map(&:id).sort
    assert_empty customers.doubles(customers.find(customers.add(name: "Wyn", phone: "")))
  end

  def test_what_they_allow_is_added_to_and_never_changed
    id = customers.add(name: "Nell")
    customers.consent(id, "pictures", true, Date.new(2026, 3, 1))
    customers.consent(id, "pictures", false, Date.new(2026, 3, 2))
    assert_equal [[false, Date.new(2026, 3, 2)]], customers.consents(id).map { |one| [one.given, one.on] }
    assert_equal 2, workroom.rows(:customer_consents).where(customer_id: id).count
    assert_raises(Sequel::DatabaseError) do
      S.db.transaction(savepoint: true) { workroom.rows(:customer_consents).update(given: true) }
    end
  end

  def test_a_link_is_good_once_and_shows_its_paper_alone
    job, paper = quoted
    key = links.make(paper: paper.id)
    shown = S::ShownPapers.find(key)
    assert_equal paper.id, shown.paper.id
    assert_predicate shown, :open?
    S::ShownPapers.answer(key, "accepted", "Nell Quillwort", Date.new(2026, 3, 4))
    assert_raises(S::Taken) { S::ShownPapers.answer(key, "declined", "Somebody", Date.new(2026, 3, 5)) }
    answer = workroom.bills.find(job, paper.id).then { workroom.bills.of(job).first.answer }
    assert_equal ["accepted", Date.new(2026, 3, 4), "Nell Quillwort"], [answer.said, answer.on, answer.name]
    assert_nil S::ShownPapers.find("#{key}x")
  end

  def test_a_newer_link_a_newer_paper_and_time_end_it
    job, paper = quoted
    first, second = links.make(paper: paper.id), links.make(paper: paper.id)
    assert_nil S::ShownPapers.find(first)
    workroom.bills.write(job, "quote", content)
    assert_predicate S::ShownPapers.find(second), :replaced
    assert_raises(S::Taken) { S::ShownPapers.answer(second, "accepted", "Nell", Date.new(2026, 3, 4)) }
    workroom.rows(:customer_links).update(ends_at: Sequel.lit("now() - interval '1 second'"))
    assert_nil S::ShownPapers.find(second)
    assert_raises(S::Missing) { S::ShownPapers.answer(second, "accepted", "Nell", Date.new(2026, 3, 4)) }
    third = links.make(paper: workroom.bills.of(job).first.id)
    links.take_back(paper: workroom.bills.of(job).first.id)
    assert_nil S::ShownPapers.find(third)
    assert_raises(S::Missing) { links.make(paper: workroom.bills.write(job, "invoice", content).id) }
    assert_raises(S::Missing) { links.make(paper: 999_999) }
  end

  def test_who_is_forgotten_leaves_what_was_made_and_what_the_books_keep
    nell = customers.add(name: "Nell Quillwort", phone: "0471 2288")
    job, paper = quoted
    billed, quote = quoted
    [job, billed].each { |one| workroom.jobs.set_customer(one, nell, nil) }
    workroom.bills.write(billed, "invoice", content)
    workroom.jobs.set_notes(job, "Nell rings first", version: workroom.jobs.find(job).version)
    key = links.make(paper: paper.id)
    S::ShownPapers.answer(key, "accepted", "Nell Quillwort", Date.new(2026, 3, 4))
    workroom.letters.draft(job, sort: "free", house: "", to: "nell@quill.example", subject: "Nell", body: "Nell")
    done = S::Forgetting.new(workroom).forget(nell) { |id| "Job #{id}" }
    assert_equal [2, 1, 1, 1], [done.jobs, done.papers, done.links, done.invoices]
    assert_raises(S::Missing) { customers.find(nell) }
    made = workroom.jobs.find(job)
    assert_equal ["Job #{job}", "", nil], [made.title, made.notes, made.customer_id]
    gone, kept = workroom.bills.find(job, paper.id), workroom.bills.find(billed, quote.id)
    assert_equal ["", paper.number], [gone.content["customer"], gone.number]
    assert_equal "Nell Quillwort", kept.content["customer"]
    assert_nil S::ShownPapers.find(key)
    assert_equal [""], workroom.rows(:paper_answers).where(paper_id: paper.id).select_map(:name)
    assert_equal 1, workroom.rows(:erasures).where(customer_id: nell).count
    refute_match(/Nell|0471 2288/, everything(except: quote.id))
    assert_raises(Sequel::DatabaseError) do
      S.db.transaction(savepoint: true) { workroom.rows(:papers).update(number: 99) }
    end
  end

  private

  def customers = workroom.customers

  def links = workroom.customer_links

  def content = {"customer" => "Nell Quillwort", "title" => "Nell's hall", "lines" => [], "gross" => "1.00"}

  # @return [Array(Integer, Store::Bills::Bill)] a job and its quote
  def quoted
    job = workroom.jobs.create(title: "Nell's hall", unit: "cm")
    [job, workroom.bills.write(job, "quote", content)]
  end

  # All rows of the workroom as text, but for the papers of the invoiced job.
  def everything(except:)
    kept = workroom.rows(:papers).where(id: except).get(:job_id)
    told = %i[customers customer_houses customer_consents customer_links paper_answers slips erasures letters jobs]
    told.flat_map do |table|
      workroom.rows(table).exclude({jobs: {id: kept}}.fetch(table, {workroom_id: nil})).all.map(&:inspect)
    end.join + workroom.rows(:papers).exclude(job_id: kept).all.inspect
  end
end
