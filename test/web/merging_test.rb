# frozen_string_literal: true

require "nokogiri"
require "web_test_helper"

# Two people at one thing: at different fields both win, at the same one both values are shown, whatever is edited.
class MergingTest < WebTest
  def test_notes
    both("/jobs/#{office.id}/notes", "/jobs/#{office.id}", "notes", "ladder here", "ladder there") { office.notes }
  end

  def test_what_a_job_is_called
    id = office.id
    both("/jobs/#{id}/title", "/jobs/#{id}", "title", "Ticket hall", "Old ticket office") do
      workroom.jobs.find(id).title
    end
  end

  def test_where_a_window_is_and_what_it_is_called
    place = station(office, "place")
    both(place, place, "name", "Quay light", "Quay sash") { office.windows.first.name }
    different(place, {"room" => "Booking hall"}, {"name" => "River sash"}) do
      office.windows.first.then { |window| [window.room, window.name] } == ["Booking hall", "River sash"]
    end
  end

  # Whoever was made a fitter meanwhile isn't an owner again because a page stood open.
  def test_what_somebody_may
    id = workroom.people.add("Neap Tolley", role: "owner")
    page = "/people/#{id}"
    saw = {"role" => "owner", "books" => "no"}
    send_form(page, "role" => "fitter", "books" => "no", "saw" => saw)
    send_form(page, "role" => "owner", "books" => "yes", "saw" => saw)
    assert_equal ["fitter", true], workroom.people.find(id).then { |one| [one.role, one.books] }
    send_form(page, "role" => "maker", "saw" => saw)
    assert_equal 409, last_response.status
    assert_match(/maker fitter Take mine/, text)
    send_form(page, "role" => "maker", "saw" => {"role" => "fitter"})
    assert_equal "maker", workroom.people.find(id).role
    both(page, page, "name", "Neap Tolly", "Neap Toley") { workroom.people.find(id).name }
  end

  def test_two_are_never_called_alike
    id = workroom.people.add("Neap Tolley")
    taken = workroom.people.names.first
    refute_equal "Neap Tolley", taken
    [[taken, /somebody else here/i], ["", /changes are kept in it/], ["N" * 41, /40 characters/]].each do |typed, told|
      send_form("/people/#{id}", "name" => typed, "saw" => {"name" => "Neap Tolley"})
      assert_equal 422, last_response.status
      assert_match(told, text)
      assert_includes last_response.body, %(value="#{typed}")
    end
    assert_equal "Neap Tolley", workroom.people.find(id).name
  end

  def test_what_is_lent_to_somebody
    id = workroom.people.add("Neap Tolley", role: "apprentice")
    one, other, third = workroom.jobs.list.first(3).map(&:id)
    workroom.people.lend(id, [one])
    [[one, other], [one, third], []].each do |jobs|
      send_form("/people/#{id}/lent", "jobs" => jobs.map(&:to_s), "saw" => {"jobs" => one.to_s})
    end
    assert_equal [other, third].sort, workroom.people.lent(id).sort
  end

  def test_whose_a_job_is
    page = "/jobs/#{office.id}"
    both("#{page}/customer", page, "customer", "Wenna Tern", "Nell Quillwort") do
      workroom.customers.find(office.customer_id).name
    end
    nell = office.customer_id
    houses = %w[Loft Sail].map { |name| workroom.customers.add_house(nell, name: name) }
    saw = {"customer" => "Nell Quillwort", "house" => ""}
    houses.each { |house| send_form("#{page}/customer", "house" => house.to_s, "saw" => saw) }
    assert_equal [409, houses.first], [last_response.status, office.house_id]
    assert_match(/House Sail Loft Take mine/, text)
  end

  def test_where_a_step_is_moved_to
    diary = EarnestFold::Work::Diary.of(workroom, house, Time.now)
    key = diary.plan.placed.find { |one| one.task.needs.empty? }.task.key
    first, second = [20, 30].map { |days| (Date.today + days).iso8601 }
    [first, second].each { |day| send_form("/diary/moves", "key" => key, "day" => day, "saw" => {"place" => ""}) }
    assert_equal [409, [first]], [last_response.status, workroom.diary.moves.map { |move| move.day.iso8601 }]
    assert_match(/Somebody else moved this step meanwhile/, text)
    saw = last_response.body[/name="saw\[place\]" value="([^"]*)"/, 1]
    assert_includes last_response.body, %(value="#{second}")
    send_form("/diary/moves", "key" => key, "back" => "yes", "saw" => {"place" => ""})
    assert_equal 409, last_response.status
    send_form("/diary/moves", "key" => key, "day" => second, "saw" => {"place" => saw})
    assert_equal [second], workroom.diary.moves.map { |move| move.day.iso8601 }
  end

  def test_a_house_of_a_customer
    wenna = workroom.customers.add(name: "Wenna Tern")
    id = workroom.customers.add_house(wenna, name: "Loft", address: "1 Slipway\n2 Slipway")
    page, now = "/customers/#{wenna}/houses/#{id}", -> { workroom.customers.houses(wenna).first }
    whole = {"name" => "Loft", "address" => "1 Slipway\r\n2 Slipway", "notes" => ""}
    send_form(page, **whole, "name" => "Sail loft", "saw" => whole)
    send_form(page, **whole, "notes" => "Key at the inn", "saw" => whole)
    assert_equal ["Sail loft", "1 Slipway\n2 Slipway", "Key at the inn"], now.call.to_h.except(:id).values
    send_form(page, **whole, "name" => "Net loft", "saw" => whole)
    assert_equal 409, last_response.status
    assert_match(/Called Net loft Sail loft Take mine/, text)
  end

  # A cloth is called by its name, a choice by its words: not as they are kept.
  def test_both_are_told_in_words
    cloths = workroom.cloths.all.reject { |cloth| cloth.id.to_s == office.treatments.first.spec["face"] }.first(2)
    cloths.each do |cloth|
      send_form(station(office, "cloth"), "unit" => "cm", "face" => cloth.id.to_s,
        "saw" => {"face" => office.treatments.first.spec["face"]}.then { |saw| @saw ||= saw })
    end
    assert_equal 409, last_response.status
    assert_includes text, "#{cloths.last.spec["name"]} #{cloths.first.spec["name"]} Take mine"
    %w[in mm].each { |unit| send_form("/house-rules", "unit" => unit, "saw" => {"unit" => "cm"}) }
    assert_match(/millimetres inches Take mine/, text)
  end

  # A long text is taken whole, though only its beginning is told.
  def test_long_notes_of_two
    mine, page = "#{"ladder " * 60}at the back", "/jobs/#{office.id}/notes"
    [["theirs", ""], [mine, ""]].each { |notes, saw| send_form(page, "notes" => notes, "saw" => {"notes" => saw}) }
    assert_equal 409, last_response.status
    both = Nokogiri::HTML5(last_response.body).at_css(".both")
    assert_match(/…\z/, both.at_css("b").text)
    sent = both.css("input").to_h { |input| input["name"].then { |name| [name, input["value"]] } }
    send_form(page, "notes" => sent["notes"], "saw" => {"notes" => sent["saw[notes]"]})
    assert_equal mine, office.notes
  end

  def test_dates
    both("/jobs/#{office.id}/dates", "/jobs/#{office.id}", "promised", "2027-01-05", "2027-02-06") do
      office.dates["promised"]
    end
    different("/jobs/#{office.id}/dates", {"promised" => "2027-01-05"}, {"cloth" => "2027-01-02"}) do
      office.dates.values_at("promised", "cloth") == %w[2027-01-05 2027-01-02]
    end
  end

  def test_the_account
    both("/jobs/#{office.id}/account", "/jobs/#{office.id}/account", "travel", "12.50", "14") do
      office.account["travel"]
    end
    different("/jobs/#{office.id}/account", {"travel" => "15"}, {"fitted" => "3"}) do
      office.account.values_at("travel", "fitted") == ["15", 3]
    end
  end

  def test_by_which_school_a_job_is_priced
    account = "/jobs/#{office.id}/account"
    saw = {"school" => shown(account, "saw[school]")}
    %w[by_width by_clock].each { |school| send_form(account, "school" => school, "saw" => saw) }
    assert_equal [409, "by_width"], [last_response.status, office.account["school"]]
    assert_match(/Work is priced by the clock.* by the width.* Take mine/, text)
  end

  def test_an_extra_is_taken_away_by_its_name
    account = "/jobs/#{office.id}/account"
    %w[Hooks Rings].each { |name| send_form(account, "extra_name" => name, "extra_amount" => "6.40") }
    2.times { send_form(account, "away" => "Hooks ~ 6.40") }

    assert_equal %w[Rings], office.account["extras"].map { |extra| extra["name"] }
  end

  def test_the_house
    both("/house-rules", "/house-rules", "name", "Saltmarsh Lane", "Saltmarsh Lane Curtain Makers") { house.name }
    different("/house-rules", {"rules.layer_gap" => "4"}, {"on_hand.hooks" => "77"}) do
      [house.stored["layer_gap"], house.on_hand["hooks"]] == ["4 cm", 77]
    end
  end

  def test_the_books
    both("/house-rules/books", "/house-rules/books", "account.fitting", "26", "27") do
      house.stored.dig("account", "fitting")
    end
    different("/house-rules/books", {"account.travel" => "9"}, {"diary.setting_days" => "3"}) do
      house.stored.dig("account", "travel") == "9" && house.stored.dig("diary", "setting_days") == 3
    end
  end

  def test_a_set_of_rules
    set = house.sets.first
    address = "/house-rules/sets/#{set.id}"
    both(address, address, "metric.making.seam", "1.7", "1.8") do
      house.set(set.id).spec.dig("metric", "making", "seam")
    end
    different(address, {"metric.making.squaring" => "3"}, {"metric.making.hem.depth" => "9"}) do
      house.set(set.id).spec.dig("metric", "making").values_at("squaring").first == "3 cm" &&
        house.set(set.id).spec.dig("metric", "making", "hem", "depth") == "9 cm"
    end
  end

  def test_a_cloth
    id = workroom.cloths.all.first.id
    both("/cloths/#{id}", "/cloths/#{id}", "width", "141", "142") { workroom.cloths.find(id).spec["width"] }
    different("/cloths/#{id}", {"mass" => "333"}, {"price" => "44"}) do
      workroom.cloths.find(id).spec.values_at("mass", "price").map(&:to_s) == %w[333 44]
    end
  end

  def test_a_piece
    id = workroom.shelf.all.first.id
    both("/shelf/#{id}", "/shelf/#{id}", "place", "left bay", "right bay") { workroom.shelf.find(id).spec["place"] }
    different("/shelf/#{id}", {"batch" => "B77"}, {"place" => "top"}) do
      workroom.shelf.find(id).spec.values_at("batch", "place") == %w[B77 top]
    end
  end

  def test_a_field_of_a_treatment
    both(station(office, "measure"), station(office, "measure"), "overlap", "10", "12") do
      office.treatments.first.spec["overlap"]
    end
    different(station(office, "measure"), {"overlap" => "9"}, {"ease" => "2"}) do
      office.treatments.first.spec.values_at("overlap", "ease") == ["9 cm", "2 cm"]
    end
  end

  def test_what_was_typed_one_after_the_other_is_no_quarrel_with_oneself
    send_form(station(office, "measure"), "unit" => "cm", "overlap" => "0,1 m", "saw" => {"overlap" => "8"})
    send_form(station(office, "measure"), "unit" => "cm", "overlap" => "11", "saw" => {"overlap" => "0,1 m"})

    assert_equal "11 cm", office.treatments.first.spec["overlap"]
  end

  def test_a_page_with_more_to_send_is_told_only_that_it_is_taken
    more = {"X-Journal" => "more", "HX-Request" => "true"}
    send_form(
      station(office, "measure"),
      :headers => more,
      "unit" => "cm",
      "overlap" => "10",
      "saw" => {"overlap" => "8"}
    )
    assert_equal [204, ""], [last_response.status, last_response.body]
    send_form(
      station(office, "measure"),
      :headers => more,
      "unit" => "cm",
      "overlap" => "wide",
      "saw" => {"overlap" => "10"}
    )
    assert_equal 422, last_response.status, "what can't be taken is told in full"
    assert_equal "10 cm", office.treatments.first.spec["overlap"]
  end

  def test_a_field_that_is_gone_is_shown_with_what_was_typed
    save(office, "heading", "heading.kind" => "wave")
    send_form(
      station(office, "heading"),
      "unit" => "cm",
      "heading.hook_spacing" => "9",
      "saw" => {"heading.hook_spacing" => "8"}
    )

    assert_equal 409, last_response.status
    assert_match(/Hook spacing 9 – Take mine/, text)
  end

  def test_notes_that_are_too_long_are_refused_and_stand_there_still
    typed = "a" * 4001
    send_form("/jobs/#{office.id}/notes", "notes" => typed, "saw" => {"notes" => office.notes})
    assert_equal 422, last_response.status
    assert_includes last_response.body, typed
    assert_equal "", office.notes
  end

  private

  def house = workroom.house.read

  def shown(address, name)
    get address
    field =
      last_response.body[
        %r{<(?:input|select|textarea)[^>]*name="#{Regexp.escape(name)}".*?(?:>|</select>|</textarea>)}m
      ].to_s
    if field.start_with?("<textarea")
      CGI.unescapeHTML(last_response.body[/name="#{Regexp.escape(name)}"[^>]*>([^<]*)/, 1])
    else
      CGI.unescapeHTML(field[/\svalue="([^"]*)"/, 1].to_s)
    end
  end

  # Both saw the same; the second sees both values, and may take their own.
  def both(to, page, name, first, second)
    saw = shown(page, name)
    send_form(to, name => first, "saw" => {name => saw}, "unit" => "cm")

    assert_equal 303, last_response.status, to
    kept = yield
    send_form(to, name => second, "saw" => {name => saw}, "unit" => "cm")

    assert_equal 409, last_response.status, to
    assert_equal kept, yield, to
    flat = text

    assert_includes flat, "#{second} #{shown(page, name)} Take mine"
    send_form(to, name => second, "saw" => {name => shown(page, name)}, "unit" => "cm")

    assert_equal 303, last_response.status, to
    refute_equal kept, yield, to
  end

  # Both saw the same page; each changed another field.
  def different(to, first, second)
    saws = [first, second].map { |fields| fields.to_h { |name, _| [name, shown(to.delete_suffix("/dates"), name)] } }
    [first, second].zip(saws) { |fields, saw| send_form(to, **fields, "saw" => saw, "unit" => "cm") }

    assert yield, to
  end
end
