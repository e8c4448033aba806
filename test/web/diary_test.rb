# frozen_string_literal: true

require "web_test_helper"
require "icalendar"
require "pdf-reader"

# The diary on the screen, on the wall and in other calendars.
class DiaryStationTest < WebTest
  D = EarnestFold::Work

  def setup
    super
    workroom.rows(:diary_moves).delete
    workroom.house.update(version: workroom.house.read.version, rules: {"diary" => {"zone" => "Europe/Lisbon"}})
  end

  def test_the_week_shows_benches_promises_and_each_days_work
    get "/diary?week=#{(Date.today + 7).iso8601}"
    assert_equal 200, last_response.status
    assert_match(/Residents' lounge \w{3} \d+ \w{3} \w{3} \d+ \w{3}/, words)
    assert_match(/Table .*Press .*Machine .*Hands .*Away/m, text)
    assert_includes last_response.body, "diary-week"
  end

  def test_a_job_is_promised_and_taken_out_again
    send_form(
      "/jobs/#{office.id}/dates",
      **seeing("/jobs/#{office.id}", "promised" => (Date.today + 20).iso8601, "cloth" => (Date.today + 3).iso8601)
    )
    get "/diary"
    assert_match(/Ticket office/, text)
    send_form("/jobs/#{office.id}/dates", **seeing("/jobs/#{office.id}", "promised" => "soon"))
    assert_equal 422, last_response.status
    assert_includes last_response.body, %(value="soon")
    send_form("/jobs/#{office.id}/dates", **seeing("/jobs/#{office.id}", "promised" => "", "cloth" => ""))
    assert_empty office.dates
  end

  def test_a_promise_too_near_is_told_with_the_step_that_endangers_it
    workroom.jobs.set_dates(
      office.id,
      {"promised" => Date.today.iso8601, "cloth" => (Date.today + 10).iso8601},
      version: office.version
    )
    get "/diary"
    assert_match(
      /\d+ days late\. What endangers it: Lay out the cuts.*Quay window, Ticket office\), when the cloth has come/,
      words
    )
  end

  def test_hanging_waits_for_the_smallest_part_and_says_so
    workroom.house.update(version: workroom.house.read.version, on_hand: {"hooks" => 4})
    lounge = job("Residents' lounge")
    get "/diary"
    assert_match(/Hanging is held: \d+ hooks to get, and nobody has said when they come; 8 days left/, words)
    assert_empty diary.plan.placed.select { |one| one.job == lounge.id && one.task.bench == :away }
    workroom.jobs.set_dates(
      lounge.id,
      lounge.dates.merge("parts" => (Date.today + 30).iso8601),
      version: lounge.version
    )
    hung = diary.plan.placed.find { |one| one.job == lounge.id && one.task.bench == :away }
    assert_operator diary.plan.calendar.date(hung.from), :>=, Date.today + 30
    assert_equal :parts, hung.held
  end

  def test_a_step_is_moved_and_the_rest_follows
    placed = diary.plan.placed.find { |one| one.task.needs.empty? }
    before = diary.plan.ready(placed.job)
    send_form("/diary/moves", "key" => placed.task.key, "day" => (Date.today + 30).iso8601, "time" => "9:15")
    assert_equal 303, last_response.status
    moved = diary.plan.placed.find { |one| one.task.key == placed.task.key }
    assert_operator diary.plan.calendar.date(moved.from), :>=, Date.today + 30
    assert_operator diary.plan.ready(placed.job), :>, before
    send_form("/diary/moves", "key" => placed.task.key, "back" => "yes", "day" => "")
    assert_equal before, diary.plan.ready(placed.job)
  end

  def test_a_step_is_never_before_what_it_needs
    placed = diary.plan.placed.select { |one| one.task.needs.any? }.max_by(&:from)
    send_form("/diary/moves", "key" => placed.task.key, "day" => Date.today.iso8601, "time" => "")
    assert_equal 422, last_response.status
    assert_match(/That is before what this step needs is done/, text)
    assert_empty workroom.diary.moves
    {"day" => "tomorrow", "time" => ""}.then { |typed| send_form("/diary/moves", "key" => placed.task.key, **typed) }
    assert_match(/Say to which day/, text)
    send_form("/diary/moves", "key" => placed.task.key, "day" => (Date.today + 900).iso8601)
    assert_match(/reaches two years/, text)
    send_form("/diary/moves", "key" => "nothing~at:all", "day" => Date.today.iso8601)
    assert_equal 404, last_response.status
  end

  def test_a_step_is_never_before_what_it_waits_for
    lounge = job("Residents' lounge")
    first = diary.plan.placed.find { |one| one.task.work == lounge.treatments.first.id && one.task.needs.empty? }
    send_form("/diary/moves", "key" => first.task.key, "day" => (Date.today + 1).iso8601)
    assert_equal 422, last_response.status
    assert_match(/What this step waits for isn't there by then/, text)
  end

  # When all is made, hanging is still to be done.
  def test_hanging_stays_until_it_hangs_or_the_invoice_is_written
    workroom.jobs.set_dates(office.id, {"promised" => (Date.today + 5).iso8601}, version: office.version)
    EarnestFold::Work::Job
      .new(office, workroom.cloths.all, workroom.house.read)
      .entries
      .first
      .steps
      .flat_map(&:names)
      .each { |name| workroom.bench.say(office.treatments.first.id, *name, "done") }
    assert_equal [:away], diary.plan.placed.select { |one| one.job == office.id }.map { |one| one.task.bench }
    workroom.bench.say(office.treatments.first.id, "hung", "", "done")
    assert_empty diary.plan.placed.select { |one| one.job == office.id }
    workroom.bench.say(office.treatments.first.id, "hung", "", "undone")
    content = {"gross" => "1.00", "currency" => "€", "customer" => "", "lines" => []}
    workroom.bills.write(office.id, "invoice", content)
    assert_empty diary.plan.placed.select { |one| one.job == office.id }
  end

  def test_what_is_done_is_not_laid_again
    before = diary.plan.placed.sum { |one| one.task.minutes }
    pair = job("Ferry chapel").treatments.first
    workroom.bench.say(pair.id, "measure_again", "left", "done")
    assert_operator diary.plan.placed.sum { |one| one.task.minutes }, :<, before
  end

  # A calendar program has an address of its own, which can be taken back.
  def test_a_calendar_reads_it_by_a_key_of_its_own
    person = workroom.people.add("Wyn Sluice")
    env SignedIn::KEY, SignedIn.owner(workroom).with(person_id: person)
    send_form("/you/calendar/give")
    get "/you"
    address = text[%r{http://\S+(/calendar/[\w-]+\.ics)}, 1]
    get "/you"
    refute_match(%r{/calendar/[\w-]{20,}\.ics}, last_response.body)
    env SignedIn::KEY, nil
    get address
    assert_equal ["text/calendar", 200], [last_response.media_type, last_response.status]
    refute_empty Icalendar::Calendar.parse(last_response.body).first.events
    workroom.people.change(workroom.people.find(person), role: "apprentice", books: false)
    get address
    assert_equal 404, last_response.status
    workroom.people.change(workroom.people.find(person), role: "fitter", books: false)
    env SignedIn::KEY, SignedIn.owner(workroom).with(person_id: person)
    send_form("/you/calendar/take")
    env SignedIn::KEY, nil
    get address
    assert_equal 404, last_response.status
    get "/calendar/#{"x" * 43}.ics"
    assert_equal 404, last_response.status
  end

  def test_the_week_of_whoever_hangs_is_what_is_hung_and_where
    tern = workroom.customers.add(name: "Wenna Tern", phone: "01555 0177", address: "3 Weir Cottages")
    house = workroom.customers.add_house(tern, name: "Sail loft")
    workroom.jobs.set_customer(diary.laid(hanging: true).first.job, tern, house)
    env SignedIn::KEY, SignedIn.owner(workroom).with(role: "fitter", books: false)
    hung = diary.laid(hanging: true)
    get "/diary?week=#{diary.time(hung.first.from).to_date.iso8601}"
    assert_match(/Wenna Tern · 01555 0177 · Sail loft · 3 Weir Cottages/, text)
    refute_match(/move/i, text)
    # What endangers a promise is told to them too, above the week.
    refute_match(/Cutting table|Press the hem/, last_response.body.scan(%r{<ol class="stretches">.*?</ol>}m).join)
    refute_includes last_response.body, %(href="/books")
    links = last_response.body.scan(%r{href="(/jobs/[^"#]+)}).flatten.uniq
    refute_empty links
    links.each { |path| assert_equal 200, get(path).status, path }
    get "/diary.ics"
    events = Icalendar::Calendar.parse(last_response.body).first.events
    assert_equal hung.sum { |one| diary.days(one).size }, events.size
  end

  def test_other_calendars_read_it
    get "/diary.ics"
    assert_equal "text/calendar", last_response.headers["Content-Type"].split(";").first
    events = Icalendar::Calendar.parse(last_response.body).first.events
    stretches = diary.plan.placed.sum { |placed| diary.days(placed).size }
    assert_equal stretches, events.size
    assert_equal "Europe/Lisbon", events.first.dtstart.ical_params["tzid"].first
    events.each { |event| assert_operator event.dtstart.to_time, :<, event.dtend.to_time }
    assert_equal events.map(&:uid).uniq, events.map(&:uid)
  end

  def test_the_list_for_the_wall
    get "/diary/wall.pdf?week=#{(Date.today + 7).iso8601}"
    assert_match(
      /Work ?in ?the ?week.*Monday/m,
      PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join("\n")
    )
  end

  # In spring the clocks go forward in the night of 28 March: the day begins at the same time by the clock on the wall.
  def test_days_begin_by_the_clock_on_the_wall
    sheet = D::Diary.new([], [], [], workroom.house.read.rules, Time.utc(2027, 3, 26, 9))
    assert_equal ["08:30 +0000", "08:30 +0100"],
      [Date.new(2027, 3, 26), Date.new(2027, 3, 29)].map { |date| sheet.at(date, 0).strftime("%H:%M %z") }
  end

  # A day that ends at midnight ends on the next morning's date; an hour that the clocks leave out is the next one,
  # one that comes twice the first.
  def test_odd_hours_have_their_times
    late = EarnestFold::Reckoning::HouseRules::USUAL.with(
      diary: EarnestFold::Reckoning::Diary::USUAL.with(zone: "Europe/Lisbon", day_begins: 840, day_minutes: 600)
    )
    assert_equal "2026-03-03 00:00 +0000",
      D::Diary
        .new([], [], [], late, Time.utc(2026, 3, 2, 9))
        .at(Date.new(2026, 3, 2), 600)
        .strftime("%F %H:%M %z")
    night = D::Diary.new([], [], [], late.with(diary: late.diary.with(day_begins: 0)), Time.utc(2026, 3, 2, 9))
    assert_equal ["02:30 +0100", "01:30 +0100"],
      [[2027, 3, 28], [2026, 10, 25]].map { |day| night.at(Date.new(*day), 90).strftime("%H:%M %z") }
  end

  private

  def diary = D::Diary.of(workroom, workroom.house.read, Time.now)

  def words = text
end
