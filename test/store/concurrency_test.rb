# frozen_string_literal: true

require "store_test_helper"

# Two people at one treatment, at the same moment: one is told, and nothing is half done.
class ConcurrencyTest < EarnestFoldTest
  S = EarnestFold::Store

  def setup
    @workroom = S.workroom
    @job = @workroom.jobs.create(title: "Race", unit: "cm")
    @treatment = @workroom.windows(@job).add(room: "Race", name: "", spec: {"overlap" => "0 cm"})
  end

  def teardown = @workroom.rows(:jobs).where(id: @job).delete

  def test_of_two_changes_of_one_version_one_is_stale
    results = Array.new(4) { |index| Thread.new { change("#{index} cm") } }.map(&:value)
    assert_equal({done: 1, stale: 3}, results.tally)
    made = @workroom.jobs.find(@job).treatments.first
    assert_equal [1, 1], [made.version, made.undoable]
    assert_equal 1, @workroom.treatments.changes(@treatment).size
  end

  private

  def change(overlap)
    @workroom.treatments.update(@treatment, {"overlap" => overlap}, version: 0)
    :done
  rescue S::Stale
    :stale
  end
end
