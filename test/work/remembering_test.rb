# frozen_string_literal: true

require "web_test_helper"

# Whatever is remembered was made from what stands in the store now: every input of every remembered thing is changed,
# and each page then shows what a house that remembers nothing shows.
class RememberingTest < WebTest
  # What a page carries that is new each time it is asked for.
  PASSING = [
    /name="authenticity_token" value="[^"]*"/,
    /"X-CSRF-Token":"[^"]*"/,
    /name="once" value="[^"]*"/,
    /data-once="[^"]*"/
  ].freeze
  TAPE = {
    "name" => "Narrow tape", "kind" => "corded", "below" => "1 cm", "turn_in" => "2 cm", "row_top" => "0.8 cm",
    "row_bottom" => "2 cm"
  }.freeze
  GATHERED = {"kind" => "pencil_pleat", "fullness" => "2", "top_turn" => "4 cm"}.freeze
  CHANGES = {
    "a piece more" => -> { workroom.shelf.receive(twill.id, "R77", {"delivered" => "31 m"}) },
    "a plan at the table" => -> { take },
    "a cut made" => -> { tick },
    "a cut put back" => -> { put_back },
    "a measure" => -> { change(quay, "return_left" => "11 cm") },
    "a heading" => -> { change(quay, "heading" => quay.spec["heading"].merge("fullness" => "1.9")) },
    "a layer's own name" => -> { change(quay, "name" => "The sheer one") },
    "which set of rules it takes" => -> { change(quay, "rules" => other_set(quay).id.to_s) },
    "an answer" => -> { change(quay, "answers" => {"which_length" => "from the eye"}) },
    "another window" => -> { change(light, "support" => light.spec["support"].merge("length" => "99 cm")) },
    "what is altered" => -> { change(pair, "wanted_length" => "150 cm") },
    "a cloth's width" => -> { cloth(twill, {"width" => "150 cm"}) },
    "a cloth's price" => -> { cloth(twill, {"price" => "77.70"}) },
    "a cloth's name" => -> { cloth(twill, {"name" => "Marsh linen"}) },
    "a cloth's colour" => -> { cloth(twill, {}, colour: "#123456") },
    "a rule" => -> { house(rules: {"stitching" => "machine"}) },
    "a standard time" => -> { house(rules: {"times" => {"press" => "44"}}) },
    "a rate" => -> { house(rules: {"account" => {"hourly_rate" => "71"}}) },
    "the diary's rules" => -> { house(rules: {"diary" => {"people" => 3}}) },
    "how inches are read" => -> { house(rules: {"inch_fraction" => "8"}) },
    "what is on hand" => -> { house(on_hand: {"hooks" => 1}) },
    "the house's name" => -> { house(name: "Curlew Yard Curtains") },
    "a set's rule" => -> { set({"metric" => {"making" => {"squaring" => "7 cm"}}}) },
    "a set's name" => -> { set({}, name: "Renamed") },
    "the job's unit" => -> { workroom.jobs.set_unit(office.id, "in") },
    "notes" => -> { workroom.jobs.set_notes(office.id, "Key at the ferry", version: office.version) },
    "dates" => -> { workroom.jobs.set_dates(office.id, {"promised" => "2031-05-05"}, version: office.version) },
    "the account" => -> { workroom.jobs.set_account(office.id, {"travel" => "31.00"}, version: office.version) },
    "a layer more" => -> { workroom.windows(office.id).add_layer(quay_window, quay.spec, behind: false) },
    "a window's copy" => -> { workroom.windows(office.id).copy(quay_window, name: "The copy") },
    "a window's name" => -> { rename(quay_window, name: "The sash") },
    "a window's room" => -> { rename(quay_window, room: "Booking hall") },
    "windows' order" => -> { workroom.windows(office.id).move(quay_window.id, by: 1) },
    "a step done" => -> { say(quay, "note_condition", "done", "lay_out_cuts") },
    "a step altered" => -> { say(pair, "done", "done", "note_condition") },
    "a time put right" => -> { workroom.bench.say(quay.id, "lay_out_cuts", "", "corrected", value: "33") },
    "something measured" => -> { workroom.bench.say(quay.id, "mark_drop", "left", "measured", value: "236 cm") },
    "that it hangs" => -> { workroom.bench.say(quay.id, EarnestFold::Store::Bench::HUNG, "", "done") },
    "a caution seen to" => -> do
      workroom.bench.say(quay.id, "#{EarnestFold::Store::Bench::CAUTION}drill_behind", "", "done")
    end,
    "what was learnt" => -> { workroom.logbook.note(quay.id, went_wrong: "The hem crept", next_time: "Baste it") },
    "how it came in" => -> do
      workroom.came_in.note(pair.id, sort: "mark", curtain: "left", across: 500, down: 500, words: "At the fold")
    end,
    "a piece measured" => -> { piece("measured" => "24.5 m") },
    "a flaw" => -> { piece("flaws" => [{"from" => "1 m", "to" => "1.2 m", "what" => "slub"}]) },
    "a piece used up" => -> { workroom.shelf.use_up(roll.id, true) },
    "a wish" => -> { workroom.cutting_wishes.keep(office.id, twill.id, {"preferred" => ["R77"]}, saw: {}) },
    "a change taken back" => -> { workroom.treatments.take_back(quay.id, version: quay.version) },
    "an invoice" => -> { invoice },
    "a tape that its heading takes" => -> { change(quay, "heading" => GATHERED, "tape" => tape.to_s) },
    "what that tape says" => -> { workroom.tapes.update(tape, {**TAPE, "below" => "1.4 cm"}, version: 0) },
    "the method it is made by" => -> { change(quay, "method" => "locked_in") },
    "another window's room" => -> { rename(light_window, room: "Yard") },
    "what the job is called" => -> { workroom.jobs.rename(office.id, "Ticket hall", version: office.version) },
    "something put away" => -> { workroom.treatments.put_away(light.id, true) },
    "the same job archived" => -> { workroom.jobs.archive(office.id, true) }
  }.freeze

  # One after the other in one house: what a house that remembers nothing showed is what stood there before the next.
  def test_every_change_is_seen_at_once
    looked_at = Walks.stretch(CHANGES, 12)
    CHANGES.first(looked_at.first).each { |_, change| instance_exec(&change) }
    before = pages
    CHANGES.to_a[looked_at].each do |name, change|
      instance_exec(&change)
      warm = pages
      EarnestFold::Work::Memory.clear
      [EarnestFold::Store::Treatments, EarnestFold::Store::Cloths].each do |kept|
        kept.class_eval("KNOWN", __FILE__, __LINE__).clear
      end
      cold = pages

      cold.each { |path, body| assert body == warm[path], -> { "#{name}: #{path}, #{apart(warm[path], body)}" } }
      assert before != cold, "nothing shows #{name}"
      before = cold
    end
  end

  private

  def pages = paths.to_h { |path| [path, shown(path)] }

  def paths
    jobs, work = "/jobs/#{office.id}", "/jobs/#{office.id}/treatments/#{quay.id}"
    altered = "/jobs/#{chapel.id}/treatments/#{pair.id}"
    %w[measure heading cloth near compare cutting making bench hanging log place].map { |name| "#{work}/#{name}" } +
      %w[measure alter making hanging].map { |name| "#{altered}/#{name}" } +
      ["", "/account", "/read-back", "/needs.csv", "/table/#{twill.id}"].map { |name| "#{jobs}#{name}" } +
      %W[/today /jobs /cloths /shelf /shelf/#{roll.id} /diary /logbook #{altered}/came-in]
  end

  def shown(path)
    get path
    assert_includes [200, 303, 404], last_response.status, path
    PASSING.reduce(last_response.body) { |body, passing| body.gsub(passing, "") }
  end

  # @return [String] where two pages differ first
  def apart(one, other)
    was, is = one.lines.zip(other.lines).find { |before, after| before != after }
    "was #{was.to_s[0, 160].inspect}, is #{is.to_s[0, 160].inspect}"
  end

  def office = workroom.jobs.find(@office ||= job("Ticket office").id)

  def chapel = workroom.jobs.find(@chapel ||= job("Ferry chapel").id)

  def rename(window, room: window.room, name: window.name) =
    workroom.windows(office.id).rename(window.id, room: room, name: name, version: office.version)

  def quay_window = office.windows.first

  def quay = office.treatments.find { |one| one.id == @quay ||= office.treatments.first.id }

  def light_window = office.windows.last

  def tape = @tape ||= workroom.tapes.create(TAPE)

  def light = office.treatments.find { |one| one.id == @light ||= office.treatments.last.id }

  def pair = chapel.treatments.find { |record| record.sort == "altered" }

  def twill = workroom.cloths.find(Integer(quay.spec["face"], 10))

  def roll = workroom.shelf.all(cloths: [twill.id], used_up: true).first

  def other_set(treatment) = workroom.house.read.sets.find { |set| set.id.to_s != treatment.spec["rules"] }

  def change(treatment, spec) =
    workroom.treatments.update(treatment.id, treatment.spec.merge(spec), version: treatment.version)

  def cloth(record, spec, colour: record.colour) =
    workroom.cloths.update(record.id, record.spec.merge(spec), colour: colour, version: record.version)

  def house(rules: nil, **values)
    now = workroom.house.read
    values = values.merge(rules: now.stored.merge(rules)) if rules
    workroom.house.update(version: now.version, **values)
  end

  def set(spec, name: nil)
    one = workroom.house.read.set(quay.spec["rules"]) || workroom.house.read.first_set
    workroom.house.update_set(one.id, name: name || one.name, spec: one.spec.merge(spec), version: one.version)
  end

  def say(treatment, _step, kind, code) = workroom.bench.say(treatment.id, code, "", kind)

  def piece(spec) = workroom.shelf.update(roll.id, roll.spec.merge(spec), version: roll.version)

  def invoice
    sheet = EarnestFold::Work::Job.new(office, workroom.cloths.all, workroom.house.read)
    content = EarnestFold::Documents::BillContent.of(EarnestFold::Work::Account.new(sheet), "")
    workroom.bills.write(office.id, "invoice", content)
  end

  def take = send_form("/jobs/#{office.id}/cutting/#{twill.id}/take")

  def tick = workroom.plans.tick([office.id, twill.id], cut(false).id, least: EarnestFold::Reckoning::Length.cm(30))

  def put_back =
    workroom.plans.put_back([office.id, twill.id], cut(true).id, least: EarnestFold::Reckoning::Length.cm(30))

  def cut(done) = workroom.plans.of(office.id).of(twill.id).find { |one| one.done? == done }
end
