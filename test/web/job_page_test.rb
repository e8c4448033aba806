# frozen_string_literal: true

require "web_test_helper"
require "nokogiri"

# A job's first screen: how it stands as a whole.
class JobPageTest < WebTest
  R = EarnestFold::Reckoning

  def test_nothing_is_said_of_a_job_of_which_nothing_is_known
    id = workroom.jobs.create(title: "Bare", unit: "cm")
    get "/jobs/#{id}"
    assert_equal 200, last_response.status
    refute_match(/promised|comes to|What it needs/, main)
  end

  def test_promised_ready_and_comes_to
    lounge = job("Residents' lounge")
    get "/jobs/#{lounge.id}"
    assert_match(/comes to ?\d+\.\d\d/, main)
    workroom.jobs.set_dates(lounge.id, {"promised" => (Date.today + 1).iso8601}, version: lounge.version)
    get "/jobs/#{lounge.id}"
    assert_match(/promised ?#{(Date.today + 1).strftime("%-d %b")} ready ?\d+ \w{3} comes to/, main)
    assert page.at_css(".job-facts .late"), "a day is not enough for a lounge"
    account = text_of("/jobs/#{lounge.id}/account")[/It comes to ([\d.]+)/, 1]
    assert_match(/comes to ?#{account}/, text_of("/jobs/#{lounge.id}"))
  end

  # "5 Mar" of a year ago is no day to come.
  def test_a_day_far_away_is_told_with_its_year
    lounge, far = job("Residents' lounge"), Date.today - 300
    workroom.jobs.set_dates(lounge.id, {"promised" => far.iso8601}, version: lounge.version)
    told = far.strftime("%-d %b %Y")
    assert_match(/promised ?#{told}/, text_of("/jobs/#{lounge.id}"))
    assert_includes text_of("/today"), far.strftime("%A %-d %B %Y")
    assert_includes text_of("/diary"), told
  end

  # By whichever school: it is what the Account says.
  def test_it_comes_to_what_the_account_says
    %w[by_time by_width by_clock].each do |school|
      breakfast = job("Breakfast room")
      workroom.jobs.set_account(breakfast.id, {"school" => school}, version: breakfast.version)
      account = text_of("/jobs/#{breakfast.id}/account")[/It comes to ([\d.]+)/, 1]
      assert_match(/comes to ?#{account}/, text_of("/jobs/#{breakfast.id}"), school)
    end
  end

  def test_what_is_needed_is_held_against_the_shelf
    lounge = job("Residents' lounge")
    get "/jobs/#{lounge.id}"
    assert_match(/Reedbed linen union face 24.1 m 24 m needed, 43.37 m on the shelf, 2 batches/, main)
    refute_match(/to buy/, main)
    workroom.shelf.all.each { |piece| workroom.shelf.use_up(piece.id, true) if piece.label == "R1" }
    get "/jobs/#{lounge.id}"
    assert_match(/24 m needed, 18.43 m on the shelf, 2 batches 5.6 m to buy, 190.40/, main)
  end

  def test_without_a_piece_all_of_it_is_to_buy
    office = job("Ticket office")
    workroom.shelf.all.each { |piece| workroom.shelf.use_up(piece.id, true) }
    get "/jobs/#{office.id}"
    assert_match(/needed, none on the shelf/, main)
    assert_match(/to buy/, main)
  end

  def test_the_page_asks_as_much_for_many_windows_as_for_one
    one = workroom.jobs.create(title: "One", unit: "cm")
    many = workroom.jobs.create(title: "Many", unit: "cm")
    spec = job("Ticket office").treatments.first.spec
    workroom.windows(one).add(room: "A", name: "", spec: spec)
    9.times { |number| workroom.windows(many).add(room: "A", name: number.to_s, spec: spec) }
    [one, many].each { |id| get "/jobs/#{id}" }
    assert_equal(*[one, many].map { |id| queries { get("/jobs/#{id}") } })
    named = [one, many].map { |id| station(workroom.jobs.find(id), "place") }
    named.each { |place| get place }
    assert_equal(*named.map { |place| queries { get(place) } })
    assert_equal(*named.map { |place| queries { send_form(place, "room" => "B", "saw" => {"room" => "A"}) } })
  end

  def test_a_job_takes_another_name
    id = office.id
    send_form("/jobs/#{id}/title", "title" => " Ticket hall ", "saw" => {"title" => "Ticket office"})
    assert_equal 303, last_response.status
    assert_equal "Ticket hall", workroom.jobs.find(id).title
    follow_redirect!
    assert_equal "Ticket hall", page.at_css("h1").text
  end

  def test_a_name_that_cannot_be_taken_stands_there_as_it_was_typed
    ["", "T" * 121].each do |typed|
      send_form("/jobs/#{office.id}/title", "title" => typed, "saw" => {"title" => "Ticket office"})
      assert_equal 422, last_response.status
      field = page.at_css("details.rename[open] input[name=title]")
      assert_equal [typed, "true"], [field["value"], field["aria-invalid"]]
      assert page.at_css("##{field["aria-describedby"]}")
    end
    assert_equal "Ticket office", office.title
  end

  def test_a_window_takes_another_room_and_name
    place = station(office, "place")
    get place
    assert_equal ["Ticket office", "Quay window"], %w[room name].map { |name| page.at_css("[name=#{name}]")["value"] }
    back = station(office, "measure")
    saw = {"room" => "Ticket office", "name" => "Quay window"}
    send_form(place, "room" => "Booking hall", "name" => "", "saw" => saw, "back" => back)
    assert_equal back, URI(last_response["Location"]).path
    assert_equal ["Booking hall", ""], office.windows.first.then { |window| [window.room, window.name] }
    get back
    assert_match(/Booking hall/, page.at_css(".rail").text)
    refute_match(/Quay window/, main)
    send_form(place, "name" => "Bay", "saw" => {"name" => ""}, "back" => "//elsewhere.example/jobs/1")
    assert_equal "/jobs/#{office.id}", URI(last_response["Location"]).path
  end

  def test_a_window_has_a_room_or_a_name
    place, saw = station(office, "place"), {"room" => "Ticket office", "name" => "Quay window"}
    assert_equal 422, send_form(place, "room" => "", "name" => " ", "saw" => saw).status
    assert_match(/the room, or a name for the window/, main)
    assert_equal "", page.at_css("[name=room]")["value"]
    long = "N" * 81
    assert_equal 422, send_form(place, "name" => long, "saw" => saw).status
    assert_equal long, page.at_css("[name=name]")["value"]
    assert_equal "Quay window", office.windows.first.name
  end

  def test_somebodys_own_curtains_take_another_name
    chapel = job("Ferry chapel")
    window = chapel.windows.find { |one| one.treatments.first.sort == "altered" }
    place = "/jobs/#{chapel.id}/treatments/#{window.treatments.first.id}/place"
    get place
    assert_match(/Curtains/, main)
    send_form(place, "name" => "Back parlour pair", "saw" => {"name" => window.name})
    assert_match(/Back parlour pair/, text_of("/jobs/#{chapel.id}"))
  end

  private

  def page = Nokogiri::HTML5(last_response.body)

  def main = page.at_css("main").text.gsub(/\s+/, " ")

  def text_of(path)
    get path
    main
  end
end
