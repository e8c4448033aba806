# frozen_string_literal: true

require "store_test_helper"

# What is known of a work stands under the state of its row: whatever is written to it, kept or undone, in whichever
# order, a job is found as it stands in the database.
class KnownRowsTest < StoreTest
  SPEC = {"support" => {"kind" => "track"}, "heading" => {"kind" => "pencil_pleat"}}.freeze
  KNOWN = EarnestFold::Store::Treatments.class_eval("KNOWN", __FILE__, __LINE__)
  WAYS = {
    change: ->(one) { workroom.treatments.update(one.id, eased, version: one.version) },
    back: ->(one) { workroom.treatments.take_back(one.id, version: one.version) },
    away: ->(one) { workroom.treatments.put_away(one.id, !one.put_away) },
    another: ->(_) { workroom.windows(@job).add(room: "Attic", name: "", spec: SPEC) },
    other_hand: ->(one) { S.db[:treatments].where(id: one.id).update(put_away: !one.put_away) }
  }.freeze

  def test_a_job_is_found_as_it_stands
    srand(5)
    @job = workroom.jobs.create(title: "Attic", unit: "cm")
    2.times { workroom.windows(@job).add(room: "Attic", name: "", spec: SPEC) }
    150.times { rand(3).zero? ? undone { step } : step }
  end

  private

  def eased = SPEC.merge("ease" => "#{rand(50)} mm")

  def step
    way = WAYS.keys.sample
    instance_exec(workroom.jobs.find(@job).treatments.sample, &WAYS.fetch(way))
    assert_found(way)
  end

  # All of it looked at while it stands, and taken back.
  def undone(&block)
    S.db.transaction(savepoint: true, rollback: :always, &block)
    assert_found("undone")
  end

  def assert_found(way)
    found = shown
    KNOWN.clear
    assert_equal shown, found, way
  end

  def shown = workroom.jobs.find(@job).treatments.map { |one| one.to_h.except(:source) }
end
