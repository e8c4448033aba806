# frozen_string_literal: true

require "store_test_helper"
require "places_of_their_own"

# A whole workroom out as one open file and into an empty one, by the command that people use: there it is the same,
# byte for byte of what it gives out.
class MovingHouseTest < EarnestFoldTest
  extend Walks.tests(1/3r)

  include PlacesOfTheirOwn

  S, A = EarnestFold::Store, EarnestFold::Documents::WorkroomArchive
  PLACES = %w[moving_from moving_to].freeze

  CONNECTED = <<~RUBY
    require "earnest_fold"
    EarnestFold::Store.connect(ENV.fetch("DATABASE_URL"))
    EarnestFold::Store.migrate
  RUBY
  # The demo house as it is opened first, with everything that can be said besides.
  MOST = <<~RUBY
    bill = EarnestFold::Documents::BillContent.method(:of)
    room = EarnestFold::Store.workroom
    EarnestFold::Store::DemoHouse.new(room).load(whole: true)
    EarnestFold::Work::DemoProgress.new(room, &bill).load
    EarnestFold::Work::DemoCustomers.new(room).load
    altered = room.jobs.list.flat_map { |line| room.jobs.find(line.id).treatments }.find { |one| one.sort == "altered" }
    room.came_in.add_photograph(altered.id, Random.new(1).bytes(5000), width: 12, height: 34, words: "As it came")
    room.customer_links.make(slip: room.slips.write(altered.id, {"title" => "Slip"}, "%PDF \\x00 bytes".b))
    made = room.jobs.list.flat_map { |line| room.jobs.find(line.id).treatments }.find { |one| one.sort == "made" }
    room.treatments.update(made.id, made.spec.merge("notes" => "Żółw & \u00e9"), version: made.version)
    room.people.belongs(room.people.all.first.id, EarnestFold::Store::Accounts.create("first@demo.example"))
    room.people.lend(room.people.all.last.id, [room.jobs.list.first.id])
  RUBY

  def test_all_of_it_comes_in_as_it_was
    program("moving_from", MOST)
    program("moving_to", <<~RUBY)
      people = EarnestFold::Store.workroom.people
      people.belongs(people.add("Ida Marram", role: "owner"), EarnestFold::Store::Accounts.create("ida@there.example"))
    RUBY
    assert_match(/12 jobs/, move("moving_from", "out", "a.tar"))
    assert_match(/All of .* is here: 12 jobs/, move("moving_to", "in", "a.tar"))
    move("moving_to", "out", "b.tar")
    one, other = %w[a.tar b.tar].map { |name| files(name) }
    assert_equal one.keys.sort, other.keys.sort
    assert_empty one.keys.reject { |name| one[name] == other[name] } - ["manifest.json", "rows/people.jsonl"]
    assert_operator one.keys.grep(/photographs-\d+\.image|slips-\d+\.file/).size, :>=, 2
    %w[changes takings plan_cuts bench_entries customers].each { |name| refute_empty one["rows/#{name}.jsonl"] }
    refute_match(/demo\.example|argon2/, one.values.join)
    said = program("moving_to", <<~RUBY)
      room = EarnestFold::Store.workroom
      print room.people.all.map { |one| [one.name, one.role, one.login].join(" ") }.sort.join("; "), "|"
      room.jobs.create(title: "After", unit: "cm")
      print room.bills.write(room.jobs.list.first.id, "quote", {}).number
    RUBY
    assert_match(/Ida Marram owner ida@there.example; Joss Teal maker ;.*\|3\z/, said)
  end

  def test_with_nothing_but_an_empty_house
    program("moving_from", "EarnestFold::Store.workroom")
    move("moving_from", "out", "a.tar")
    assert_match(/0 jobs/, move("moving_to", "in", "a.tar"))
    move("moving_to", "out", "b.tar")
    assert_equal(*%w[a.tar b.tar].map { |name| files(name).except("manifest.json") })
  end

  def test_what_does_not_fit_is_told_and_nothing_comes_in
    program("moving_from", "EarnestFold::Store::DemoHouse.new(EarnestFold::Store.workroom).load")
    move("moving_from", "out", "a.tar")
    assert_match(/There is work in this workroom/, move("moving_from", "in", "a.tar", fails: true))
    assert_match(/is there already/, move("moving_from", "out", "a.tar", fails: true))
    whole = files("a.tar")
    changed = {
      whole.merge("house.json" => whole["house.json"].sub("Saltmarsh", "Fresh")) => /isn't whole/,
      whole.except("house.json") => /isn't whole/,
      whole.merge("../evil" => "x") => /isn't whole/,
      forged(whole, "rows/jobs.jsonl") { |rows| rows.sub(/"id": \d+/, '"id": 999999') } => /isn't whole/,
      forged(whole, "rows/treatments.jsonl") { |rows| rows.gsub('"face"', '"fate"') } => /didn't come in as it was/,
      forged(whole, "rows/windows.jsonl") { |rows| rows.lines.drop(1).join } => /isn't whole/,
      whole.merge("manifest.json" => whole["manifest.json"].sub(/"tables": \d+/, '"tables": 1')) => /of the state 1/
    }
    Walks.some(changed, 2).each_with_index do |(archive, said), index|
      File.binwrite(file("#{index}.tar"), EarnestFold::Documents::Tar.pack(archive))
      assert_match(said, move("moving_to", "in", "#{index}.tar", fails: true), index)
    end
    File.write(file("text.tar"), "no archive at all")
    assert_match(/isn't a workroom's archive/, move("moving_to", "in", "text.tar", fails: true))
    assert_match(/There is no/, move("moving_to", "in", "none.tar", fails: true))
    counted = 'print %i[jobs cloths].map { |table| EarnestFold::Store.db[table].count }.join(" ")'
    assert_equal "0 0", program("moving_to", counted)
    # Nothing is in it, and yet it isn't as it began: who was forgotten here would be taken for somebody of there.
    program("moving_to", <<~RUBY)
      room = EarnestFold::Store.workroom
      EarnestFold::Store::Forgetting.new(room).forget(room.customers.add(name: "Wenna Tern")) { "" }
    RUBY
    assert_match(/There is work in this workroom/, move("moving_to", "in", "a.tar", fails: true))
  end

  private

  def move(place, what, name, fails: false)
    command = [RbConfig.ruby, root("support/workroom.rb"), what, file(name)]
    told, status = Open3.capture2e({"DATABASE_URL" => url(place)}, *command)
    assert_equal !fails, status.success?, told
    told
  end

  def program(place, text)
    command = [RbConfig.ruby, "-Ilib", "-e", "#{CONNECTED}#{text}"]
    told, status = Open3.capture2e({"DATABASE_URL" => url(place)}, *command, chdir: ROOT)
    assert status.success?, told
    told
  end

  def files(name) =
    File.open(file(name), "rb") do |from|
      Gem::Package::TarReader.new(from).to_h { |entry| [entry.full_name, entry.read.to_s] }
    end

  # With a manifest that fits.
  def forged(whole, name)
    changed = whole.merge(name => yield(whole[name].dup.force_encoding("UTF-8")).b)
    told = JSON.parse(whole["manifest.json"])
    told["sha256"] = A.hashes(changed.except("manifest.json"))
    changed.merge("manifest.json" => JSON.generate(told))
  end
end
