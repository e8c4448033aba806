# frozen_string_literal: true

require "store_test_helper"

# What earlier versions kept is there after the tables are brought up to date.
class MigrationTest < EarnestFoldTest
  S = EarnestFold::Store
  LAST_BEFORE = 8

  def setup
    S.db.run("CREATE SCHEMA migrating")
    @db = Sequel.connect(ENV.fetch("DATABASE_URL"), search_path: %w[migrating], max_connections: 1, keep_reference: false)
    @db.extension(:pg_json)
  end

  def teardown
    @db.disconnect
    S.db.run("DROP SCHEMA migrating CASCADE")
  end

  # Alterations lay with their job as they came; now they are work like everything else.
  def test_alterations_become_work_of_their_job
    Sequel::Migrator.run(@db, S::MIGRATIONS, target: LAST_BEFORE)
    room = @db[:workrooms].insert(name: "Before")
    kept = {"alterations" => [{"id" => "vestry", "kind" => "shorten_at_hem", "existing_length" => "241 cm"}, {"id" => "loft", "kind" => "lengthen"}], "small_parts" => [{"id" => "p", "kind" => "patch"}]}
    job = @db[:jobs].insert(workroom_id: room, title: "Chapel", unit: "cm", extras: Sequel.pg_jsonb(kept))
    @db[:windows].insert(workroom_id: room, job_id: job, position: 4, name: "there before")
    Sequel::Migrator.run(@db, S::MIGRATIONS)
    windows = @db[:windows].order(:position).select_map([:position, :name])
    assert_equal [[4, "there before"], [5, "vestry"], [6, "loft"]], windows
    specs = @db[:treatments].order(:id).select_map(:spec).map(&:to_h)
    assert_equal kept["alterations"], specs
    assert_equal({"small_parts" => kept["small_parts"]}, @db[:jobs].where(id: job).get(:extras).to_h)
  end
end
