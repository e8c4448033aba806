# frozen_string_literal: true

require "json"
require "json_schemer"
require "web_test_helper"
require File.expand_path("../../support/meter_stand_in", __dir__)

# What distance meters send, and how it becomes a figure: never by itself.
class MetersTest < WebTest
  def setup
    super
    @person = workroom.people.add("Ida Marram", role: S::People::OWNER)
    env SignedIn::KEY, SignedIn.owner(workroom, person_id: @person)
    @key = workroom.meters.connect(@person, "Meter")
    @place = station(office, "readings")
  end

  def test_a_reading_waits_for_whose_meter_it_is_and_comes_once
    assert_equal 201, told("press" => "1", "length" => "2143 mm")
    assert_equal 200, told("press" => "1", "length" => "2143 mm")
    assert_equal 201, told("press" => "2", "length" => "2143 mm")
    assert_equal 2, waiting.size
    assert_empty workroom.meter_readings.waiting(workroom.people.add("Peer"))
    refute_nil workroom.meters.of(@person).last.heard_at
    look
    assert_match(/2 readings wait/, text)
    assert_match(/pressed twice/, text)
  end

  # [what is sent, why it is kept to be looked at]
  WRONG = {
    "{" => "not_json",
    "[]" => "not_an_object",
    "\xFF" => "not_json",
    '{"press": "1"}' => "missing",
    '{"press": "1", "length": 2143}' => "not_text",
    '{"press": "1", "length": "2143"}' => "no_unit",
    '{"press": "1", "length": "0 mm"}' => "not_over_zero",
    '{"press": "1", "length": "-3 mm"}' => "not_over_zero",
    '{"press": "1", "length": "101 m"}' => "too_long",
    '{"press": "1", "length": "a rail mm"}' => "not_a_length",
    '{"press": "", "length": "1 m"}' => "empty",
    %({"press": "#{"9" * 65}", "length": "1 m"}) => "too_much_text",
    %({"press": "1", "length": "#{" " * 3000}1 m"}) => "not_json"
  }.freeze

  def test_what_can_be_no_length_is_told_kept_to_be_looked_at_and_never_taken
    WRONG.each do |sent, why|
      assert_equal 422, told(sent), sent
      assert_equal why, workroom.meter_readings.turned_away(@person).first.why, sent
    end
    assert_empty waiting
    look
    assert_match(/nobody guesses|no length|no window is that long|can't be read/i, text)
    assert_equal 303, send_form("#{@place}/seen").status
    assert_empty workroom.meter_readings.turned_away(@person)
  end

  def test_whatever_its_sender_calls_it_it_is_read
    types = ["application/x-www-form-urlencoded", "multipart/form-data; boundary=x", "text/plain", ""]
    types.each_with_index do |type, at|
      header "Authorization", "Bearer #{@key}"
      post("/readings", {}, :input => %({"press": "#{at}", "length": "1 m"}), "CONTENT_TYPE" => type)
      assert_equal 201, last_response.status, type
    end
    assert_equal 4, waiting.size
  end

  def test_nobody_without_a_key_sends_anything
    assert_equal 401, told("press" => "1", "length" => "1 m", :key => "wrong")
    header "Authorization", nil
    assert_equal 403, post("/readings", "{}").status
    workroom.meters.away(@person, workroom.meters.of(@person).last.id)
    assert_equal 401, told("press" => "1", "length" => "1 m")
  end

  def test_its_key_opens_nothing_else
    env SignedIn::KEY, nil
    header "Authorization", "Bearer #{@key}"
    assert_equal 303, get("/jobs").status
    assert_equal 403, post("/jobs", "title" => "Mine").status
  end

  def test_taken_it_is_a_figure_as_it_was_read_and_one_change
    told("press" => "1", "length" => "213.4 cm")
    before = office.treatments.first
    take("drop.readings.left")
    made = office.treatments.first
    assert_equal ["213.4 cm", before.version + 1], [made.spec.dig("drop", "readings", 0), made.version]
    assert_empty waiting
    # Pressed twice, or by somebody else meanwhile: nothing more.
    take("drop.readings.left", reading: @id)
    assert_equal [200, made.version], [last_response.status, office.treatments.first.version]
  end

  def test_what_a_field_refuses_goes_on_waiting
    told("press" => "1", "length" => "95 m")
    take("return_left")
    assert_equal 422, last_response.status
    assert_equal 1, waiting.size
  end

  def test_for_no_field_that_is_not_there
    told("press" => "1", "length" => "1 m")
    was = office.treatments.first.version
    ["nowhere", "heading.kind", "heading.pleats", "making.hem.depth.x", "../x", "version", "unit"].each do |path|
      take(path)
      assert_operator last_response.status, :<, 500, path
    end
    assert_equal [1, was], [waiting.size, office.treatments.first.version]
  end

  def test_an_inch_tape_takes_millimetres_as_they_were_read
    told("press" => "1", "length" => "2143 mm")
    take("drop.readings.middle", "unit" => "in")
    assert_equal "2143 mm", office.treatments.first.spec.dig("drop", "readings", 1)
  end

  def test_nothing_is_sent_again_while_nothing_changed
    look
    state = last_response.body[/state=(\h+)/, 1]
    assert_equal 204, look("?unit=cm&state=#{state}").status
    told("press" => "1", "length" => "1 m")
    assert_equal 200, look("?unit=cm&state=#{state}").status
  end

  def test_too_many_are_told_so
    S::MeterReadings::MOST.times { |number| told("press" => number.to_s, "length" => "1 m") }
    assert_equal 429, told("press" => "one more", "length" => "1 m")
    assert_equal S::MeterReadings::MOST, waiting.size
  end

  def test_one_typed_too_many_is_told_and_laid_aside_twice_it_lies_aside
    S::MeterReadings::MOST.times { |number| told("press" => number.to_s, "length" => "1 m") }
    send_form(@place, "typed" => "2 m", "typed_in" => "m", :headers => {"HX-Request" => "true"})
    assert_equal 422, last_response.status
    assert_match(/2 m Too many wait already/, text)
    first = waiting.first.id
    2.times { assert_equal 303, send_form("#{@place}/#{first}/aside").status }
    assert_equal S::MeterReadings::MOST - 1, waiting.size
  end

  def test_a_meter_is_connected_once_told_its_key_and_taken_away
    send_form("/you/meters", "name" => "Ladder <b>")
    get "/you"
    key = text[/Bearer (\S{32})/, 1]
    assert_equal 201, told("press" => "1", "length" => "1 m", :key => key)
    header "Authorization", nil
    get "/you"
    refute_includes text, "Bearer"
    assert_includes last_response.body, "Ladder &lt;b&gt;"
    send_form("/you/meters/#{workroom.meters.of(@person).last.id}/away")
    assert_equal 401, told("press" => "2", "length" => "1 m", :key => key)
  end

  def test_an_altered_curtain_is_measured_too
    jobs = workroom.jobs.list.map { |line| workroom.jobs.find(line.id) }
    job, one = jobs.flat_map { |each| each.treatments.map { |work| [each, work] } }.find { |_, work| work.spec["kind"] }
    look("", "/jobs/#{job.id}/treatments/#{one.id}/readings")
    assert_equal 200, last_response.status
    assert_match(/Measure now|is measured/, text)
  end

  def test_the_published_schema_takes_what_is_taken_and_no_more
    published = File.read(File.join(EarnestFold.root, "schema/meter-reading.v1.json"))
    assert_equal JSON.parse(published), EarnestFold::Documents::MeterReport.schema
    schema = JSONSchemer.schema(EarnestFold::Documents::MeterReport.schema)
    assert schema.valid?({"press" => "1", "length" => "2143 mm"})
    refute schema.valid?({"press" => "1"})
    refute schema.valid?({"press" => "1", "length" => 3})
  end

  def test_the_stand_ins_habits
    sent = []
    meter = MeterStandIn.new("http://127.0.0.1:1/", "key", random: Random.new(7))
    meter.define_singleton_method(:send_off) { |report| sent << report }
    read = Array.new(18) { meter.press(2000).map { |report| report } && sent.last["length"].to_i }
    assert(read.each_slice(7).all? { |slice| slice.size < 7 || slice.last < 1980 })
    assert(read.reject { |length| length < 1980 }.all? { |length| (length - 2000).abs < 8 })
    assert_equal 20, sent.size
    assert_equal 20, sent.map { |report| report["press"] }.uniq.size
  end

  private

  def waiting = workroom.meter_readings.waiting(@person)

  def look(asked = "", place = @place) = get("#{place}#{asked}", {}, "HTTP_HX_REQUEST" => "true")

  # @return [Integer] what a meter is answered
  def told(report = nil, key: @key, **fields)
    report ||= fields
    header "Authorization", "Bearer #{key}"
    post("/readings", report.is_a?(String) ? report : JSON.generate(report), "CONTENT_TYPE" => "application/json")
    header "Authorization", nil
    assert_equal ["application/json", ["said"]], [last_response.media_type, JSON.parse(last_response.body).keys]
    last_response.status
  end

  def take(path, reading: waiting.first.id, **more)
    @id = reading
    save(office, "measure", :headers => {"HX-Request" => "true"}, "take_reading" => "#{reading} #{path}", **more)
  end
end
