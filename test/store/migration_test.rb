# frozen_string_literal: true

require "store_test_helper"

# What earlier versions kept is there after the tables are brought up to date.
class MigrationTest < EarnestFoldTest
  S = EarnestFold::Store
  LAST_BEFORE = 8

  def setup
    S.db.run("CREATE SCHEMA migrating")
    @db = Sequel.connect(
      ENV.fetch("DATABASE_URL"),
      search_path: %w[migrating],
      max_connections: 1,
      keep_reference: false
    )
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
    kept = {
      "alterations" => [
        {"id" => "vestry", "kind" => "shorten_at_hem", "existing_length" => "241 cm"},
        {"id" => "loft", "kind" => "lengthen"}
      ],
      "small_parts" => [{"id" => "p", "kind" => "patch"}]
    }
    job = @db[:jobs].insert(workroom_id: room, title: "Chapel", unit: "cm", extras: Sequel.pg_jsonb(kept))
    @db[:windows].insert(workroom_id: room, job_id: job, position: 4, name: "there before")
    Sequel::Migrator.run(@db, S::MIGRATIONS)
    windows = @db[:windows].order(:position).select_map([:position, :name])
    assert_equal [[4, "there before"], [5, "vestry"], [6, "loft"]], windows
    specs = @db[:treatments].order(:id).select_map(:spec).map(&:to_h)
    assert_equal kept["alterations"], specs
    assert_equal({"small_parts" => kept["small_parts"]}, @db[:jobs].where(id: job).get(:extras).to_h)
  end

  # What an earlier fault left behind doesn't stand in the way: what comes after is guarded.
  def test_what_was_left_behind_stays_and_what_comes_is_guarded
    Sequel::Migrator.run(@db, S::MIGRATIONS, target: 12)
    room = @db[:workrooms].insert(name: "Before")
    cloth = @db[:cloths].insert(workroom_id: room, spec: Sequel.pg_jsonb(CLOTH))
    piece = @db[:pieces].insert(workroom_id: room, cloth_id: cloth, label: "P1", spec: Sequel.pg_jsonb({}))
    taking = {workroom_id: room, piece_id: piece, kind: "cut", from: "0", to: "1000/3", plan_cut_id: 999}
    2.times { @db[:takings].insert(taking) }
    job = @db[:jobs].insert(workroom_id: room, title: "Office", unit: "cm")
    window = @db[:windows].insert(workroom_id: room, job_id: job, position: 1)
    lost = Sequel.pg_jsonb(TREATMENT.merge("face" => "999999"))
    @db[:treatments].insert(workroom_id: room, window_id: window, position: 1, spec: lost)
    Sequel::Migrator.run(@db, S::MIGRATIONS)
    assert_equal [2, "made"], [@db[:takings].count, @db[:treatments].get(:sort)]
    late = taking.merge(plan_cut_id: nil, from: "500", to: "600")
    @db[:takings].insert(late)
    assert_raises(Sequel::DatabaseError) { @db[:takings].insert(late) }
  end

  # Ticks, cuts and papers as version 11 left them: each is there after, under its name, and the job is as far as it
  # was.
  def test_progress_as_version_11_left_it_is_told_by_name
    Sequel::Migrator.run(@db, S::MIGRATIONS, target: 11)
    room = @db[:workrooms].insert(name: "Before")
    cloth = @db[:cloths].insert(workroom_id: room, spec: Sequel.pg_jsonb(CLOTH))
    job = @db[:jobs].insert(workroom_id: room, title: "Office", unit: "cm")
    window = @db[:windows].insert(workroom_id: room, job_id: job, position: 1, name: "Quay")
    treatment =
      @db[:treatments].insert(
        workroom_id: room,
        window_id: window,
        position: 1,
        spec: Sequel.pg_jsonb(TREATMENT.merge("face" => cloth.to_s))
      )
    ticked(room, treatment)
    cut(room, job, cloth, treatment)
    @db[:papers].insert(workroom_id: room, job_id: job, kind: "invoice", number: 41, content: Sequel.pg_jsonb({}))
    @db[:paper_numbers].insert(workroom_id: room, kind: "invoice", following: 42)
    Sequel::Migrator.run(@db, S::MIGRATIONS)

    with_store { looked_at(S::Workroom.new(room), job, treatment, cloth) }
  end

  # A window kept at any version there was is reckoned and changed today, and none is lost on the way.
  # A tuck under a band has steps of its own, and so has a heading that is put on: what was ticked of them stays.
  def test_what_was_ticked_of_an_alteration_stands_at_the_steps_that_it_became
    Sequel::Migrator.run(@db, S::MIGRATIONS, target: 14)
    room = @db[:workrooms].insert(name: "Before")
    job = id_of(:jobs, workroom_id: room, title: "Chapel", unit: "cm")
    window = id_of(:windows, workroom_id: room, job_id: job, position: 1)
    works = %w[shorten_at_top shorten_keep_hem new_heading].to_h do |kind|
      spec = Sequel.pg_jsonb({"kind" => kind, "tape" => "12"})
      [kind, id_of(:treatments, workroom_id: room, window_id: window, position: 1, spec: spec)]
    end
    said = {workroom_id: room, curtain: "left", kind: "done", by: "Ida Marram"}
    works.each_value do |work|
      %w[sew_tuck put_on_new_heading].each { |step| @db[:bench_entries].insert(treatment_id: work, step: step, **said) }
    end
    @db[:bench_entries].insert(treatment_id: works["shorten_at_top"], step: "cut_strip", **said)
    @db[:bench_entries].insert(treatment_id: works["shorten_at_top"], step: "cut_strip", **said, kind: "undone")
    Sequel::Migrator.run(@db, S::MIGRATIONS)
    ticked = works.transform_values { |work| @db[:bench_entries].where(treatment_id: work).select_map(:step).uniq }
    assert_includes ticked["shorten_at_top"], "sew_top_tuck"
    refute_includes ticked["shorten_at_top"], "cut_top_strip"
    refute_includes ticked["shorten_keep_hem"], "sew_top_tuck"
    assert_empty %w[lay_tape sew_tape draw_up put_in_hooks] - ticked["new_heading"]
    assert_equal [nil], @db[:treatments].select_map(:tape_id).uniq
  end

  def test_a_window_from_every_version_is_reckoned_and_changed
    room = job = nil
    versions.each do |version|
      Sequel::Migrator.run(@db, S::MIGRATIONS, target: version)
      room ||= @db[:workrooms].insert(name: "Before")
      job ||= @db[:jobs].insert(workroom_id: room, title: "Office", unit: "cm")
      keep_window(room, job, version)
    end
    Sequel::Migrator.run(@db, S::MIGRATIONS)

    with_store { all_reckoned_and_changed(EarnestFold::Work::Workroom.new(S::Workroom.new(room)), job) }
  end

  # The order of making was the house's: it stands at each set and treatment now, and what was ticked of a step stands
  # at the steps that it became.
  def test_the_house_s_order_of_making_becomes_each_treatment_s_method
    Sequel::Migrator.run(@db, S::MIGRATIONS, target: 13)
    rules = {"lining_school" => "bagged", "making_order" => "heading_first", "stitching" => "machine"}
    room = @db[:workrooms].insert(name: "Before", rules: Sequel.pg_jsonb(rules))
    set = {"metric" => {"making" => {}, "lining" => {}}, "inches" => {}}
    @db[:rule_sets].insert(workroom_id: room, name: "Lined", spec: Sequel.pg_jsonb(set), position: 1)
    cloth = @db[:cloths].insert(workroom_id: room, spec: Sequel.pg_jsonb(CLOTH)).to_s
    job = @db[:jobs].insert(workroom_id: room, title: "Office", unit: "cm")
    window = @db[:windows].insert(workroom_id: room, job_id: job, position: 1)
    plain = TREATMENT.merge("face" => cloth)
    lined = plain.merge("lining" => {"cloth" => cloth})
    [plain, lined, lined.merge("interlining" => {"cloth" => cloth})].each_with_index do |spec, index|
      @db[:treatments].insert(workroom_id: room, window_id: window, position: index, spec: Sequel.pg_jsonb(spec))
    end
    first = @db[:treatments].order(:id).get(:id)
    [%w[put_on_heading left done], %w[form_heading left done], %w[form_heading left undone]].each do |step, hand, kind|
      @db[:bench_entries].insert(workroom_id: room, treatment_id: first, step: step, curtain: hand, kind: kind)
    end
    Sequel::Migrator.run(@db, S::MIGRATIONS)
    assert_equal %w[unlined_sides_first bagged_hem_first interlined],
      @db[:treatments].order(:id).select_map(:spec).map { |spec| spec["method"] }
    assert_equal "bagged_hem_first", @db[:rule_sets].get(:spec).dig("metric", "method")
    assert_equal({"stitching" => "machine"}, @db[:workrooms].get(:rules).to_h)
    ticked = @db[:bench_entries].where(kind: "done").select_map([:step, :curtain])
    assert_includes ticked, %w[sew_tape left]
    refute_includes ticked, %w[draw_up left], "what was taken back isn't done"
  end

  private

  # Keys begin with the workroom, so that the id isn't what an insert gives back.
  def id_of(table, **values) = @db[table].returning(:id).insert(values).first[:id]

  def versions = Dir[File.join(S::MIGRATIONS, "*.rb")].map { |file| Integer(File.basename(file)[/\d+/], 10) }.sort

  def keep_window(room, job, version)
    cloth = @db[:cloths].insert(workroom_id: room, spec: Sequel.pg_jsonb(CLOTH.merge("name" => "Twill #{version}")))
    window = @db[:windows].insert(workroom_id: room, job_id: job, position: version, name: "from #{version}")
    spec = Sequel.pg_jsonb(TREATMENT.merge("face" => cloth.to_s))
    @db[:treatments].insert(workroom_id: room, window_id: window, position: 1, spec: spec)
  end

  def all_reckoned_and_changed(in_hand, job)
    works = in_hand.job(job).works
    assert_equal versions.map { |version| "from #{version}" }, works.map(&:title)
    assert works.all?(&:reckoning), -> { works.flat_map(&:problems).inspect }
    works.each do |work|
      changed = work.record.spec.merge("overlap" => "8 cm")
      in_hand.kept.treatments.update(work.id, changed, version: work.record.version)
    end
    assert_equal ["8 cm"], in_hand.job(job).works.map { |work| work.record.spec["overlap"] }.uniq
  end

  CLOTH = {"name" => "Twill", "use" => "face", "width" => "140 cm", "selvedge" => "1 cm"}.freeze
  TREATMENT = {
    "support" => {"kind" => "track", "length" => "180 cm"},
    "opening" => {"kind" => "pair"},
    "drop" => {"readings" => ["214 cm"]},
    "heading" => {"kind" => "pencil_pleat", "fullness" => "2", "top_turn" => "4 cm"},
    "making" => {"hem" => {"kind" => "double", "depth" => "8 cm"}}
  }.freeze
  DONE = [["lay_out_cuts", ""], ["join_widths", "left"], ["join_widths", "right"], ["press_hem", "left"]].freeze
  private_constant :CLOTH, :TREATMENT, :DONE

  def ticked(room, treatment)
    said =
      DONE.map { |step, curtain| [step, curtain, "done", nil] } +
      [
        ["press_hem", "right", "done", nil],
        ["press_hem", "right", "undone", nil],
        ["mark_drop", "left", "measured", "213.9 cm"],
        ["caution:blades_needles", "", "done", nil],
        ["hung", "", "done", nil]
      ]
    said.each do |step, curtain, kind, value|
      @db[:bench_entries].insert(
        workroom_id: room,
        treatment_id: treatment,
        step: step,
        curtain: curtain,
        kind: kind,
        value: value
      )
    end
  end

  def cut(room, job, cloth, treatment)
    piece =
      @db[:pieces].insert(
        workroom_id: room,
        cloth_id: cloth,
        label: "P1",
        spec: Sequel.pg_jsonb({"delivered" => "20 m"})
      )
    plan =
      @db[:plans].insert(workroom_id: room, job_id: job, cloth_id: cloth, proved: true, used: "9240", bound: "9240")
    {1 => "cut", 2 => "planned"}.each do |number, state|
      made = {
        "treatment" => treatment.to_s,
        "curtain" => "left",
        "number" => number,
        "phase" => nil,
        "start" => nil,
        "length" => "2310"
      }
      @db[:plan_cuts].insert(
        workroom_id: room,
        plan_id: plan,
        job_id: job,
        cloth_id: cloth,
        piece_id: piece,
        position: number,
        datum: "0",
        from: (2310 * (number - 1)).to_s,
        to: (2310 * number).to_s,
        cut: Sequel.pg_jsonb(made),
        state: state
      )
    end
  end

  def looked_at(workroom, job, treatment, cloth)
    progress = workroom.bench.progress(job)

    assert_equal DONE.sort, progress.done.fetch(treatment)
    assert_equal [treatment], progress.hung
    assert_equal %w[caution:blades_needles], progress.cautions.fetch(treatment).map(&:step)
    assert_equal({treatment.to_s => [[cloth.to_s, "left", 1]]}, workroom.plans.made(job))
    assert_equal ["213.9 cm"], workroom.bench.readings(job).map { |_, entry| entry.value }
    assert_equal 42, workroom.bills.following["invoice"]
    assert_nil workroom.once.at_first("a-key-here", "p") { "/there" }
  end

  # The store on the tables that were brought up to date, instead of the tests' own.
  def with_store
    before, kept = S.instance_variable_get(:@db), S.instance_variable_get(:@prepared)
    S.instance_variable_set(:@db, @db)
    S.instance_variable_set(:@prepared, nil)
    @db.wrap_json_primitives = false
    yield
  ensure
    S.instance_variable_set(:@db, before)
    S.instance_variable_set(:@prepared, kept)
  end
end
