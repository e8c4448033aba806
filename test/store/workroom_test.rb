# frozen_string_literal: true

require "store_test_helper"

# Rows belong to a workroom, and nobody reads or changes another's.
class WorkroomTest < StoreTest
  SPEC = {"support" => {"kind" => "track", "length" => "93 1/2 in"}, "drop" => {"readings" => ["7' 9½\""]}}.freeze

  def test_lengths_come_back_exactly_as_typed
    job = workroom.jobs.create(title: "Attic", unit: "in")
    treatment = workroom.windows(job).add(room: "Attic", name: "", spec: SPEC)
    assert_equal SPEC, workroom.jobs.find(job).treatments.find { |made| made.id == treatment }.spec
  end

  def test_another_workroom_sees_nothing
    job = workroom.jobs.create(title: "Attic", unit: "cm")
    treatment = workroom.windows(job).add(room: "Attic", name: "", spec: SPEC)
    stranger = other_workroom
    assert_raises(S::Missing) { stranger.jobs.find(job) }
    assert_raises(S::Missing) { stranger.treatments.update(treatment, {}, version: 0) }
    assert_raises(S::Missing) { stranger.windows(job).add(room: "x", name: "", spec: {}) }
    refute(stranger.jobs.list.any? { |line| line.id == job })
  end

  def test_the_database_itself_refuses_a_row_that_crosses_workrooms
    job = workroom.jobs.create(title: "Attic", unit: "cm")
    assert_raises(S::Missing) { other_workroom.insert(:windows, job_id: job, position: 1) }
  end

  def test_a_lost_update_is_told
    job = workroom.jobs.create(title: "Attic", unit: "cm")
    treatment = workroom.windows(job).add(room: "Attic", name: "", spec: SPEC)
    workroom.treatments.update(treatment, SPEC.merge("ease" => "1 cm"), version: 0)
    assert_raises(S::Stale) { workroom.treatments.update(treatment, SPEC, version: 0) }
    assert_equal "1 cm", workroom.jobs.find(job).treatments.first.spec["ease"]
  end

  def test_the_list_shows_the_last_changed_first
    first = workroom.jobs.create(title: "First", unit: "cm")
    S.db[:jobs].where(id: first).update(updated_at: Time.now - 60)
    workroom.jobs.create(title: "Second", unit: "cm")
    assert_equal %w[Second First], workroom.jobs.list.map(&:title) & %w[First Second]
  end

  def test_queries_do_not_grow_with_windows
    job = workroom.jobs.create(title: "Attic", unit: "cm")
    one = queries { workroom.jobs.find(job) }
    10.times { |index| workroom.windows(job).add(room: "Room #{index}", name: "", spec: SPEC) }
    assert_equal one + 1, queries { workroom.jobs.find(job) }, "those that nobody has read yet, all at once"
    assert_equal one, queries { workroom.jobs.find(job) }
    assert_equal 1, queries { workroom.jobs.list }
  end

  def test_an_unknown_id_is_missing
    assert_raises(S::Missing) { workroom.jobs.find(2_000_000_000) }
    assert_raises(S::Missing) { workroom.cloths.find(2_000_000_000) }
    assert_raises(S::Missing) { workroom.jobs.set_unit(2_000_000_000, "cm") }
  end
end
