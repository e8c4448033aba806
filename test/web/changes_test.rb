# frozen_string_literal: true

require "web_test_helper"
require "minitest/mock"

# Nothing is lost: changes can be looked at and taken back step by step; windows copied; things found again.
class ChangesTest < WebTest
  def test_changes_are_taken_back_step_by_step
    before = office.treatments.first.spec
    save(office, "measure", "overlap" => "10")
    save(office, "measure", "drop.readings.left" => "215")
    get station(office, "changes")
    assert_match(/Drop, left\s+214 cm\s+215 cm/, text)
    assert_match(/Overlap, in all\s+8 cm\s+10 cm/, text)
    take_back
    assert_equal ["10 cm", "214 cm"],
      [office.treatments.first.spec["overlap"], office.treatments.first.spec["drop"]["readings"].first]
    take_back
    assert_equal before, office.treatments.first.spec
    assert_equal 0, office.treatments.first.undoable
    take_back
    assert_equal before, office.treatments.first.spec
    get station(office, "changes")
    assert_equal 2, text.scan("(taken back)").size
  end

  def test_a_new_change_after_taking_back_can_be_taken_back_too
    save(office, "measure", "overlap" => "10")
    take_back
    save(office, "measure", "overlap" => "12")
    get station(office, "measure")
    assert_match(/Take the last change back/, text)
    take_back
    assert_equal "8 cm", office.treatments.first.spec["overlap"]
  end

  def test_taking_back_what_someone_else_changed_is_told
    save(office, "measure", "overlap" => "10")
    stale = office.treatments.first.version
    save(office, "measure", "overlap" => "12")
    send_form(station(office, "take-back"), "version" => stale.to_s, "station" => "measure")
    assert_equal 409, last_response.status
    assert_equal "12 cm", office.treatments.first.spec["overlap"]
  end

  def test_what_is_taken_back_at_the_very_same_moment_is_told
    racing(99) { at_once("take-back") }

    assert_equal 409, last_response.status
    assert_match(/Someone else changed/, text)
  end

  def test_a_change_at_the_very_same_moment_is_merged_into_theirs
    racing(2) { at_once("measure") }
    racing(2) { at_once("answer") }

    assert_equal 303, last_response.status
    assert_equal ["33 cm", {"support_fitted" => "yes"}], office.treatments.first.spec.values_at("overlap", "answers")
  end

  def test_where_that_never_ends_the_same_may_be_sent_again
    racing(99) { at_once("measure") }

    assert_equal 503, last_response.status
  end

  def test_a_change_and_its_record_are_kept_together_or_not_at_all
    treatment = office.treatments.first
    nameless = workroom.as(nil)
    assert_raises(Sequel::NotNullConstraintViolation) do
      nameless.transaction do
        nameless.treatments.update(treatment.id, treatment.spec.merge("overlap" => "99 cm"), version: treatment.version)
      end
    end
    assert_equal treatment, office.treatments.first
  end

  def test_a_question_is_answered_once_and_kept
    get station(office, "measure")
    assert_match(/Is the support up/, text)
    send_form(
      station(office, "answer"),
      "version" => office.treatments.first.version.to_s,
      "station" => "measure",
      "code" => "support_fitted",
      "answer" => "yes, since Monday"
    )
    get station(office, "measure")
    refute_match(/Is the support up/, text)
    assert_match(/Support fitted:\s+yes, since Monday/, text)
    before = office.treatments.first
    ["flame_public", "nonsense", ""].each do |code|
      send_form(
        station(office, "answer"),
        "version" => before.version.to_s,
        "station" => "measure",
        "code" => code,
        "answer" => "x"
      )
    end
    assert_equal before, office.treatments.first
  end

  def test_a_window_is_copied_with_its_treatments
    send_form(station(office, "copy"))
    assert_equal 303, last_response.status
    assert_equal ["Quay window", "Quay window, copy"], office.windows.map(&:name)
    assert_equal office.treatments.first.spec, office.treatments.last.spec
  end

  def test_jobs_rooms_and_cloths_are_found
    {
      "ticket" => /Ticket office/,
      "stair" => /Upper landing/,
      "TICK" => /Towpath ticking/,
      "100%_" => /Nothing has/
    }.each do |words, found|
      get "/find", "q" => words
      assert_match found, text
    end
    get "/find"
    assert_equal 200, last_response.status
  end

  def test_another_workrooms_things_are_not_found
    other_workroom.jobs.create(title: "Hidden house", unit: "cm")
    get "/find", "q" => "hidden"
    refute_match(/Hidden house/, text)
  end

  private

  # Somebody else is quicker so many times.
  def racing(times, &block)
    left = times
    racing = Module.new do
      %i[update take_back].each do |name|
        define_method(name) do |*given, **more|
          ((left -= 1) >= 0) ? raise(EarnestFold::Store::Stale, "just now") : super(*given, **more)
        end
      end
    end
    S::Treatments.stub(:new, S::Treatments.new(workroom).extend(racing), &block)
  end

  def at_once(what)
    send_form(
      station(office, what),
      "version" => office.treatments.first.version.to_s,
      "station" => "measure",
      "code" => "support_fitted",
      "answer" => "yes",
      "overlap" => "33",
      "unit" => "cm"
    )
  end

  def take_back =
    send_form(station(office, "take-back"), "version" => office.treatments.first.version.to_s, "station" => "measure")
end
