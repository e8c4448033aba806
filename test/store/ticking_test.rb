# frozen_string_literal: true

require "store_test_helper"

# Several people at one table, at the same moment: no cut is lost, none is made twice.
class TickingTest < EarnestFoldTest
  S = EarnestFold::Store
  R = EarnestFold::Reckoning
  LEAST = R::Length.cm(30)

  def setup
    @workroom = S.workroom
    @cloth = @workroom.cloths.create({"name" => "Race", "use" => "face", "width" => "140 cm"}, colour: "#ffffff")
    @job = @workroom.jobs.create(title: "Race", unit: "cm")
    @piece = @workroom.shelf.receive(@cloth, "Race 1", {"delivered" => "60 m"})
    lines = Array.new(16) { |index| line(index) }
    @workroom.plans.take(
      @job,
      @cloth,
      {proved: true, used: R::Length.cm(4000), bound: R::Length.cm(4000)},
      lines,
      seen: {@piece => 0}
    )
  end

  def teardown
    @workroom.rows(:jobs).where(id: @job).delete
    @workroom.rows(:cloths).where(id: @cloth).delete
  end

  def test_all_cuts_ticked_at_once_in_any_order_are_made
    ids = cuts.map(&:id).shuffle(random: Random.new(3))
    told =
      ids
        .each_slice(4)
        .map { |some| Thread.new { some.map { |id| @workroom.plans.tick([@job, @cloth], id, least: LEAST) } } }
        .flat_map(&:value)
    assert_equal [true] * 16, told
    assert_equal ["cut"] * 16, cuts.map(&:state)
    pieces = @workroom.shelf.all(cloths: [@cloth], used_up: true)
    assert_equal R::Length.cm(4000), pieces.sum(R::Length::ZERO) { |record| record.piece.life.sum(:cut) }
    pieces.each { |record| assert_predicate record.piece.life, :whole? }
    assert_equal R::Length.cm(6000),
      pieces.sum(R::Length::ZERO) { |record| record.piece.length - record.piece.life.sum(:offcut) }
  end

  def test_of_two_who_tick_the_same_cut_one_is_told
    id = cuts.first.id
    assert_equal [false, false, false, true],
      Array
        .new(4) { Thread.new { @workroom.plans.tick([@job, @cloth], id, least: LEAST) } }
        .map(&:value)
        .sort_by { |done| done ? 1 : 0 }
  end

  # However cuts are made, put back and gone wrong, no stretch of the cloth is ever taken twice: the database says
  # so too.
  def test_ticks_and_putting_back_in_any_order_leave_the_cloth_whole
    random = Random.new(7)
    place = [@job, @cloth]
    60.times do
      done, planned = cuts.reject { |cut| cut.state == "wrong" }.partition(&:done?)
      case random.rand(5)
      when 0, 1, 2 then planned.any? && @workroom.plans.tick(place, planned.sample(random: random).id, least: LEAST)
      when 3 then done.any? && @workroom.plans.put_back(place, done.sample(random: random).id, least: LEAST)
      else planned.size > 8 && spoil(planned.sample(random: random))
      end
      pieces = @workroom.shelf.all(cloths: [@cloth], used_up: true)
      pieces.each { |record| assert_predicate record.piece.life, :whole? }
    end
  end

  # Plans are taken and cuts are made of one piece at once, by three people each: nobody stands in another's way.
  def test_takers_and_tickers_at_once
    jobs = Array.new(3) { |index| @workroom.jobs.create(title: "Race #{index}", unit: "cm") }
    @workroom.plans.release(@job, @cloth)
    takers = jobs.map { |job| Thread.new { TURNS.times.map { outcome { take_some(job) } } } }
    tickers = jobs.map { |job| Thread.new { TURNS.times.map { |turn| outcome { tick_some(job, turn) } } } }
    told = (takers + tickers).flat_map(&:value)
    assert_empty told - %i[done stale gone nothing], told.tally
    @workroom.shelf.all(cloths: [@cloth], used_up: true).each { |record| assert_predicate record.piece.life, :whole? }
  ensure
    @workroom.rows(:jobs).where(id: jobs).delete
  end

  # Where two wait for each other PostgreSQL ends one of them: that is done again, and nobody is told.
  def test_of_two_who_wait_for_each_other_neither_is_told
    second = @workroom.shelf.receive(@cloth, "Race 2", {"delivered" => "60 m"})
    seen = [@piece, second].to_h { |id| [id, @workroom.shelf.find(id).version] }
    held, waiting = Queue.new, Queue.new
    other = Thread.new do
      @workroom.transaction do
        S.db.run("SET LOCAL deadlock_timeout = '#{PATIENCE}s'")
        @workroom.shelf.locked(second)
        held << true
        waiting.pop
        @workroom.shelf.locked(@piece)
      end
    end
    held.pop
    taker = Thread.new do
      @workroom.transaction do
        S.db.run("SET LOCAL deadlock_timeout = '500ms'")
        lines = [line(0), line(0).with(piece_id: second)]
        @workroom.plans.take(@job, @cloth, {proved: true, used: LEAST, bound: LEAST}, lines, seen: seen)
      end
    end
    here = S.db[:pg_stat_activity].where(datname: Sequel.function(:current_database), wait_event_type: "Lock")
    Thread.pass until here.any? || !taker.alive?
    waiting << true
    assert_kind_of Integer, taker.value
    assert_equal second, cuts.last.piece_id
  ensure
    [other, taker].each(&:join)
  end

  # Whoever takes a plan holds its job from others who change it, not from those who only name it, as a cut does that
  # goes with its cloth: two who wait for each other stop both.
  def test_a_plan_that_is_taken_keeps_nobody_from_naming_its_job
    person = @workroom.people.add("Jory Teal", role: "apprentice", books: false)
    held, over = Queue.new, Queue.new
    taker = Thread.new do
      @workroom.transaction do
        @workroom.plans.take(@job, @cloth, {proved: true, used: LEAST, bound: LEAST}, [], seen: {})
        held << true
        over.pop
      end
    end
    held.pop
    lender = Thread.new { @workroom.people.lend(person, [@job]) }
    assert lender.join(PATIENCE), "whoever names the job waits for its plan"
  ensure
    over << true
    [taker, lender].each(&:join)
    @workroom.rows(:people).where(id: person).delete
  end

  private

  # Seconds.
  PATIENCE = 20
  TURNS = 40
  private_constant :PATIENCE, :TURNS

  def outcome
    yield
  rescue S::Stale
    :stale
  rescue S::Missing, R::Invalid
    :gone
  rescue => error
    error.class
  end

  def take_some(job)
    record = @workroom.shelf.all(cloths: [@cloth]).max_by { |one| one.piece.length - one.begins(job) }
    datum = record.begins(job)
    return :nothing if record.piece.length - datum < R::Length.cm(200)

    lines = [0, 1].map { |index| line(index).with(piece_id: record.id, datum: datum) }
    lines = lines.each_with_index.map do |one, index|
      one.with(from: R::Length.cm(index * 90), to: R::Length.cm(index * 90 + 50))
    end
    facts = {proved: true, used: R::Length.cm(140), bound: R::Length.cm(140)}
    @workroom.plans.take(job, @cloth, facts, lines, seen: {record.id => record.version})
    :done
  end

  def tick_some(job, turn)
    planned, done = @workroom.plans.of(job).of(@cloth).partition { |cut| cut.state == "planned" }
    place = [job, @cloth]
    return @workroom.plans.put_back(place, done.last.id, least: LEAST) && :done if turn % 4 == 3 && done.any?
    return :nothing if planned.empty?

    @workroom.plans.tick(place, planned[turn % planned.size].id, least: LEAST)
    :done
  end

  def spoil(cut) =
    @workroom.plans.wrong([@job, @cloth], cut.id, cut.begins, cut.ends, least: LEAST, why: "slipped")

  def cuts = @workroom.plans.of(@job).of(@cloth)

  def line(index)
    cut = R::Cutting::Cut.new(
      treatment: "t",
      curtain: "left",
      number: index + 1,
      phase: nil,
      start: nil,
      length: R::Length.cm(250)
    )
    S::Plans::PlannedCut.new(
      piece_id: @piece,
      datum: R::Length::ZERO,
      from: R::Length.cm(250 * index),
      to: R::Length.cm(250 * (index + 1)),
      cut: cut
    )
  end
end
