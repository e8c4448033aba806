# frozen_string_literal: true

require "store_test_helper"

# What lies at Cutting, at a piece and at the bench is read once in each state: whatever is done to it, kept or undone,
# in whichever order, it is found as it stands.
class ReadInAStateTest < StoreTest
  R = EarnestFold::Reckoning
  USING = EarnestFold::Store::Jobs.class_eval("USING", __FILE__, __LINE__)
  LEAST = R::Length.cm(30)
  PLAN = {proved: true, used: R::Length.cm(400), bound: R::Length.cm(400)}.freeze

  WAYS = {
    received: ->(_) { workroom.shelf.receive(@cloth, "Q#{rand(1_000_000)}", {"delivered" => "12 m"}) },
    measured: ->(one) { workroom.shelf.update(one.id, {"delivered" => "#{rand(20..40)} m"}, version: one.version) },
    named: lambda { |one|
      workroom.shelf.update(one.id, one.spec, version: one.version, label: "N#{rand(1_000_000)}")
    },
    used_up: ->(one) { workroom.shelf.use_up(one.id, !one.used_up) },
    planned: ->(one) { take(@jobs.sample, one) },
    released: ->(_) { workroom.plans.release(@jobs.sample, @cloth) },
    ticked: ->(_) { at_cut("planned") { |place, id| workroom.plans.tick(place, id, least: LEAST) } },
    put_back: ->(_) { at_cut("cut") { |place, id| workroom.plans.put_back(place, id, least: LEAST) } },
    wished: ->(one) { workroom.cutting_wishes.keep(@jobs.first, @cloth, {"preferred" => [one.label]}, saw: wishes) },
    titled: ->(_) { S.db[:jobs].where(id: @jobs.sample).update(title: "T#{rand(1_000_000)}") },
    said: lambda { |_|
      step, kind = ["hem", S::Bench::HUNG].sample, S::Bench::KINDS.sample
      workroom.bench.say(@works.sample, step, "left", kind, value: "#{rand(9)} cm")
    },
    used: ->(_) { workroom.windows(@jobs.sample).add(room: "Loft", name: "", spec: {"face" => @cloth.to_s}) },
    moved: ->(_) { S.db[:windows].where(job_id: @jobs.sample).update(room: "R#{rand(1_000_000)}") },
    house: ->(_) { S.db[:workrooms].where(id: workroom.id).update(version: Sequel[:version] + 1) },
    dyed: ->(_) { S.db[:cloths].where(id: @cloth).update(colour: "##{rand(100_000..999_999)}") }
  }.freeze

  def test_it_is_found_as_it_stands
    srand(11)
    furnish
    done = Hash.new(0)
    (Walks::WHOLE ? 160 : 90).times do
      way = WAYS.keys.sample
      rand(3).zero? ? undone(way) : step(way)
      done[way] += 1
    end
    assert_equal WAYS.keys.sort, done.keys.sort
  end

  def test_a_piece_that_is_not_there_is_missing
    assert_raises(S::Missing) { workroom.at_piece.find(999_999) }
    piece = workroom.shelf.receive(cloth, "Away", {"delivered" => "3 m"})
    assert_raises(S::Missing) { other_workroom.at_piece.find(piece) }
  end

  private

  def furnish
    @cloth = cloth
    @jobs = Array.new(2) { |index| workroom.jobs.create(title: "Job #{index}", unit: "cm") }
    @works = @jobs.map do |job|
      workroom.windows(job).add(room: "Attic", name: "", spec: {"face" => @cloth.to_s})
    end
    2.times { |index| workroom.shelf.receive(@cloth, "P#{index}", {"delivered" => "30 m"}) }
  end

  def cloth = workroom.cloths.create({"name" => "Reed", "use" => "face", "width" => "140 cm"}, colour: "#ffffff")

  def step(way)
    before = pieces
    S.db.transaction(savepoint: true) { instance_exec(before.sample, &WAYS.fetch(way)) }
  rescue S::Error, R::Invalid
    # Not everything can be done at every moment.
  ensure
    assert_found(way)
  end

  def undone(way)
    S.db.transaction(savepoint: true, rollback: :always) { step(way) }
    assert_found("#{way}, undone")
  end

  def assert_found(way)
    assert_equal cutting_afresh, workroom.at_cutting.find(@jobs.first, [@cloth]).to_h, way
    pieces.each { |one| assert_piece(one.id, way) }
    assert_using(way)
    @works.zip(@jobs).each { |work, job| assert_said(work, job, way) }
    @jobs.each { |job| assert_in_hand(job, way) }
  end

  # The whole job, as it is remembered in hand and as it is read anew.
  def assert_in_hand(id, way)
    kept = EarnestFold::Work::Workroom.new(workroom).job(id)
    made, progress = workroom.plans.made(id), workroom.bench.progress(id)
    anew = EarnestFold::Work::Job.new(workroom.jobs.find(id), workroom.cloths.all, workroom.house.read, made, progress)
    assert_equal held(anew.sound), held(kept), way
  end

  def held(job)
    works = job.works.map { |one| [one.id, one.title, one.record.spec, one.made, one.done, one.hung, one.layered?] }
    [job.job.title, job.job.version, job.cloth_records.map(&:colour), job.settled.version, works]
  end

  def assert_piece(id, way)
    seen = workroom.at_piece.find(id)
    assert_equal workroom.shelf.with_others(id), [seen.piece, seen.others], way
    assert_equal workroom.shelf.history(id), seen.history, way
    colour = S.db[:cloths].where(id: @cloth).get(:colour)
    assert_equal colour, seen.cloths.find { |one| one.id == @cloth }.colour, way
    assert_equal S.db[:workrooms].where(id: workroom.id).get(:version), seen.house.version, way
  end

  def assert_using(way)
    remembered = workroom.jobs.using(@cloth)
    USING.clear
    assert_equal workroom.jobs.using(@cloth), remembered, way
  end

  def assert_said(work, job, way)
    state, bench = workroom.at_hand.find(job).progress.state, workroom.bench
    assert_equal bench.entries(work), bench.entries(work, state: state), way
    assert_equal bench.readings(job), bench.readings(job, state: state), way
    assert_equal bench.clocks(job), bench.clocks(job, state: state), way
  end

  def cutting_afresh = {
    pieces: pieces,
    table: workroom.plans.of(@jobs.first),
    wishes: workroom.cutting_wishes.of(@jobs.first)
  }

  def pieces = workroom.shelf.all(cloths: [@cloth], used_up: true)

  def wishes = workroom.cutting_wishes.of(@jobs.first).fetch(@cloth, {})

  def take(job, piece)
    from, long = R::Length.cm(rand(20) * 50), R::Length.cm(250)
    cut = R::Cutting::Cut.new(
      treatment: @works.first.to_s, curtain: "left", number: rand(1..4), phase: nil, start: nil, length: long
    )
    line = S::Plans::PlannedCut.new(
      piece_id: piece.id, datum: R::Length::ZERO, from: from, to: from + long, cut: cut
    )
    workroom.plans.take(job, @cloth, PLAN, [line], seen: {piece.id => piece.version})
  end

  def at_cut(state)
    row = S.db[:plan_cuts].where(workroom_id: workroom.id, state: state).first
    yield [row[:job_id], row[:cloth_id]], row[:id] if row
  end
end
