# frozen_string_literal: true

require "web_test_helper"

# The logbook: times as they were, put right by hand, what they teach, what was learnt and is found again.
class LogbookTest < WebTest
  def setup
    super
    [:bench_entries, :log_notes].each { |table| workroom.rows(table).delete }
    workroom.house.update(version: workroom.house.read.version, rules: {})
  end

  def test_times_are_shown_beside_what_was_planned
    clock(pair, "note_condition", "", 60)
    get "/logbook"
    assert_match(/Note what came in 14 min 1 h 329 % more/, words)
    assert_match(/Vestry pair Ferry chapel/, words)
  end

  def test_a_forgotten_clock_is_put_right_by_hand
    clock(pair, "note_condition", "", 60 * 30)
    get log(pair)
    assert_match(/a clock was forgotten/, text)
    send_form(log(pair), **step_at(1, chapel, pair), "minutes" => "22,5")
    get log(pair)
    assert_match(/1 Note what came in 14 min 23 min put right by hand/, words)
    send_form(log(pair), **step_at(1, chapel, pair), "minutes" => "1:20")
    get log(pair)
    assert_match(/1 Note what came in 14 min 1 h 20 min put right by hand/, words)
    send_form(log(pair), **step_at(1, chapel, pair), "minutes" => "a while")
    assert_equal 422, last_response.status
    assert_includes last_response.body, %(value="a while")
    assert_equal %w[started stopped corrected corrected], workroom.bench.entries(pair.id).map(&:kind)
  end

  def test_three_jobs_teach_a_standard_which_is_taken_or_left
    three_jobs(21)
    get "/logbook"
    assert_match(/Marking, a curtain 7 10.5 the middle of 3 jobs/, words)
    send_form("/logbook/times", "name" => "mark", "take" => "yes", "version" => workroom.house.read.version.to_s)
    assert_equal 21 / 2r, workroom.house.read.rules.times.mark
    get "/logbook"
    refute_match(/Marking, a curtain/, words)
  end

  def test_what_is_left_stays_away_until_there_are_more_jobs
    three_jobs(21)
    send_form("/logbook/times", "name" => "mark", "take" => "no", "version" => workroom.house.read.version.to_s)
    get "/logbook"
    refute_match(/the middle of 3 jobs/, words)
    assert_equal 7r, workroom.house.read.rules.times.mark
    another_job(21)
    get "/logbook"
    assert_match(/the middle of 4 jobs/, words)
  end

  def test_what_was_learnt_is_found_again_with_the_same_cloth
    lounge = job("Residents' lounge")
    bay, side = lounge.treatments
    send_form(
      "/jobs/#{lounge.id}/treatments/#{bay.id}/log",
      "went_wrong" => "The hem crept",
      "next_time" => "Clip it every hand's breadth"
    )
    get "/jobs/#{lounge.id}/treatments/#{side.id}/making"
    assert_match(/Last time with this cloth: The hem crept · Clip it every hand's breadth/, words)
    get "/jobs/#{lounge.id}/treatments/#{bay.id}/making"
    refute_match(/Last time with this cloth/, words)
    send_form("/jobs/#{lounge.id}/treatments/#{bay.id}/log", "went_wrong" => " ", "next_time" => "")
    assert_equal 422, last_response.status
  end

  def test_everything_goes_out
    clock(pair, "note_condition", "", 12)
    workroom.logbook.note(pair.id, went_wrong: "=SUM(A1)", next_time: "")
    workroom.bench.say(pair.id, "check_length", "left", "measured", value: "167.4 cm", place: "leading")
    get "/logbook.csv"
    rows = CSV.parse(last_response.body, headers: true)
    told = %w[sort step real_minutes went_wrong]
    assert_equal [["time", "note_condition", "12", nil], ["learnt", nil, nil, "'=SUM(A1)"], ["drop", nil, nil, nil]],
      rows.map { |row| row.values_at(*told).map { |cell| cell unless cell.to_s.empty? } }
    get "/logbook.json"
    kept = JSON.parse(last_response.body)["rows"]
    assert_equal ["12", "=SUM(A1)", "167.4 cm"],
      kept.map { |row| row["real_minutes"] || row["went_wrong"] || row["as_made"] }
  end

  # Two clocks of one person would count the same minutes twice.
  def test_clocks_do_not_overlap
    bench = "/jobs/#{chapel.id}/treatments/#{pair.id}/bench"
    send_form(bench, **step_at(1, chapel, pair), "said" => "started")
    send_form(bench, **step_at(2, chapel, pair), "said" => "started")
    assert_equal 422, last_response.status
    assert_match(/Your clock runs at Note what came in since/, text)
    assert_equal ["note_condition"], workroom.bench.entries(pair.id).map(&:step)
    send_form(bench, **step_at(1, chapel, pair), "said" => "stopped")
    send_form(bench, **step_at(2, chapel, pair), "said" => "started")
    assert_equal 303, last_response.status
    workroom.rows(:bench_entries).delete
    started(pair, "note_condition", "", 13 * 60)
    send_form(bench, **step_at(4, chapel, pair), "said" => "started")
    assert_equal 303, last_response.status
  end

  private

  def chapel = job("Ferry chapel")

  def pair = chapel.treatments.first

  def log(treatment) = "/jobs/#{chapel.id}/treatments/#{treatment.id}/log"

  def words = text

  def clock(treatment, step, curtain, minutes)
    started(treatment, step, curtain, minutes)
    workroom.bench.say(treatment.id, step, curtain, "stopped")
  end

  # A clock that was started so long ago: what was said is never changed.
  def started(treatment, step, curtain, minutes) =
    workroom.insert(
      :bench_entries,
      treatment_id: treatment.id,
      step: step,
      curtain: curtain,
      kind: "started",
      at: Sequel.lit("now() - interval '1 minute' * ?", minutes)
    )

  # Two curtains looked over take 14 minutes by the standard.
  def another_job(minutes)
    id = workroom.jobs.bring_in(
      title: "Another",
      unit: "cm",
      extras: {"alterations" => [pair.spec]},
      cloths: {},
      windows: []
    )
    workroom.bench.say(
      workroom.jobs.find(id).treatments.first.id,
      "note_condition",
      "",
      "corrected",
      value: minutes.to_s
    )
  end

  def three_jobs(minutes) = 3.times { another_job(minutes) }
end
