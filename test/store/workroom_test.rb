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

  def test_a_name_is_changed_by_whoever_saw_it
    job, other = %w[Attic Loft].map { |title| workroom.jobs.create(title: title, unit: "cm") }
    workroom.windows(job).add(room: "Attic", name: "", spec: SPEC)
    window, seen = workroom.jobs.find(job).windows.first.id, workroom.jobs.find(job).version
    workroom.windows(job).rename(window, room: "Attic", name: "Gable", version: seen)
    assert_raises(S::Stale) { workroom.windows(job).rename(window, room: "Loft", name: "", version: seen) }
    assert_raises(S::Stale) { workroom.jobs.rename(job, "Loft", version: seen) }
    assert_raises(S::Missing) { workroom.windows(other).rename(window, room: "Loft", name: "", version: 0) }
    assert_raises(S::Missing) { other_workroom.windows(job).rename(window, room: "Loft", name: "", version: seen + 1) }
    assert_raises(S::Missing) { other_workroom.jobs.rename(job, "Loft", version: seen + 1) }
    made = workroom.jobs.find(job)
    assert_equal ["Attic", "Gable", seen + 1], [made.title, made.windows.first.name, made.version]
    assert_equal 0, workroom.jobs.find(other).version
  end

  def test_what_somebody_may_is_changed_by_whoever_saw_it
    people = workroom.people
    seen = people.find(people.add("Neap Tolley", role: "maker"))
    people.change(seen, role: "fitter")
    assert_raises(S::Stale) { people.change(seen, role: "owner") }
    assert_raises(S::Missing) { other_workroom.people.change(seen, role: "owner") }
    assert_equal ["fitter", "Neap Tolley"], people.find(seen.id).then { |one| [one.role, one.name] }
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
