# frozen_string_literal: true

require "store_test_helper"

# What the database itself refuses, whoever asks it.
class GuardsTest < StoreTest
  # Only ever added to, and what may change of a row all the same.
  ADDED_TO = {
    bench_entries: :step, piece_events: :kind, log_notes: :went_wrong, papers: :number, condition_notes: :words,
    changes: :before
  }.freeze

  def setup
    workroom.rows(:papers).delete
    [:jobs, :cloths].each { |table| workroom.rows(table).delete }
    S::DemoHouse.new(workroom).load
  end

  ADDED_TO.each do |table, column|
    define_method("test_#{table}_are_only_added_to") do
      add_one_of_each
      error = refused { workroom.rows(table).update(column => changed(table, column)) }
      assert_match(/rows of #{table} are only added to/, error.message)
    end
  end

  def test_what_may_change_of_them_changes
    add_one_of_each
    assert_operator workroom.rows(:condition_notes).update(struck: true), :>, 0
    assert_operator workroom.rows(:changes).update(taken_back: true), :>, 0
  end

  def test_no_stretch_of_a_piece_is_taken_twice
    piece = workroom.shelf.all.first.id
    taking = {piece_id: piece, kind: "cut", from: "1000/3", to: "2000/3"}
    workroom.rows(:takings).insert(workroom_id: workroom.id, **taking)
    workroom.rows(:takings).insert(workroom_id: workroom.id, **taking, from: "2000/3", to: "1000")
    error = refused { workroom.rows(:takings).insert(workroom_id: workroom.id, **taking, from: "600", to: "2001/3") }
    assert_match(/takings_apart/, error.message)
  end

  def test_a_treatment_names_cloths_and_sets_that_are_there
    %w[face rules].each do |name|
      spec = treatment.spec.merge(name => "999999")
      assert_match(/treatments_#{name}_id_fkey/, refused { change(spec) }.message)
    end
    %w[lining interlining].each do |name|
      spec = treatment.spec.merge(name => {"cloth" => "999999"})
      assert_match(/treatments_#{name}_id_fkey/, refused { change(spec) }.message)
    end
  end

  def test_a_cloth_in_use_and_a_job_with_a_paper_stay
    assert_match(/treatments_face_id_fkey/, refused { workroom.rows(:cloths).where(id: face).delete }.message)
    workroom.bills.write(job.id, "invoice", {})
    S.db.run("SET CONSTRAINTS ALL IMMEDIATE")
    assert_match(/papers_job_id_fkey/, refused { workroom.rows(:jobs).where(id: job.id).delete }.message)
  end

  def test_no_workrooms_rows_name_anothers
    stranger = other_workroom
    cloth = stranger.cloths.create({"name" => "Theirs", "use" => "face", "width" => "140 cm"}, colour: "#ffffff")
    assert_match(/fkey/, refused { change(treatment.spec.merge("face" => cloth.to_s)) }.message)
  end

  def test_every_key_begins_with_the_workroom
    keys = S.db[<<~SQL].to_h { |row| [row[:name], row[:first]] }
      SELECT pg_class.relname AS name, pg_attribute.attname AS first FROM pg_index
        JOIN pg_class ON pg_class.oid = indrelid JOIN pg_namespace ON pg_namespace.oid = relnamespace
        JOIN pg_attribute ON attrelid = indrelid AND attnum = indkey[0]
        WHERE indisprimary AND nspname = current_schema()
    SQL
    # A copy is of everything, the machine has one post, and the queue's own tables know numbers alone.
    of_all = %w[workrooms schema_info copies outside que_jobs que_values que_lockers]
    # Whoever comes in may belong to several.
    theirs = keys.keys.grep(/\Aaccount/)
    assert_empty keys.except(*of_all, *theirs).reject { |_, first| first == "workroom_id" }
    assert_operator keys.size, :>, 18
  end

  private

  # @return [Sequel::Error] what the database said
  def refused(&block) = assert_raises(Sequel::DatabaseError) { S.db.transaction(savepoint: true, &block) }

  def job = workroom.jobs.find(workroom.jobs.list.find { |line| line.title == "Ticket office" }.id)

  def treatment = job.treatments.first

  def face = Integer(treatment.spec["face"], 10)

  def change(spec) = workroom.rows(:treatments).where(id: treatment.id).update(spec: Sequel.pg_jsonb(spec))

  def add_one_of_each
    workroom.bench.say(treatment.id, "press_hem", "", "done")
    workroom.logbook.note(treatment.id, went_wrong: "It crept", next_time: "")
    workroom.bills.write(job.id, "quote", {})
    workroom.came_in.note(treatment.id, sort: "mark", curtain: "", across: 1, down: 1, words: "At the fold")
    workroom.treatments.update(treatment.id, treatment.spec.merge("name" => "Own"), version: treatment.version)
  end

  def changed(table, column) =
    case column
    when :before then Sequel.pg_jsonb({})
    when :number then Sequel[:number] + 1000
    else (table == :bench_entries) ? "other" : "used_up"
    end
end
