# frozen_string_literal: true

require "store_test_helper"
require "tmpdir"
require "timeout"
require_relative "../../support/beside"

# A worker as it is started beside the application: what it is asked it does, killed in the middle it does it again,
# and it ends with whoever started it. Nothing here is undone by a transaction: the worker sees only what is kept.
class WorkerTest < EarnestFoldTest
  extend Walks.tests(3/5r)

  S = EarnestFold::Store
  LONGEST = 90

  def setup
    @room = S::Workroom.new(S.db[:workrooms].insert(name: "Beside"))
    S::DemoHouse.new(@room).load
    @job = @room.jobs.find(@room.jobs.list.find { |line| line.title == "Residents' lounge" }.id)
    @folder = Dir.mktmpdir
    @gone = Queue.new
    environment = {"DATABASE_URL" => ENV.fetch("DATABASE_URL"), "REQUEST_LOG" => File.join(@folder, "log")}
    @worker = Beside.new(environment, RbConfig.ruby, root("support/worker.rb"), "--leashed",
      log: File.join(@folder, "log"))
  end

  def teardown
    @worker.stop
    S.db[:errands].where(workroom_id: @room.id).delete
    S.db[:que_jobs].delete
    [:papers, :jobs, :cloths].each { |table| @room.rows(table).delete }
    S.db[:workrooms].where(id: @room.id).delete
    FileUtils.rm_rf(@folder)
  end

  def test_it_does_what_it_is_asked
    @worker.start { |words| @gone << words }
    paper = @room.errands.ask("paper", about("work-order.pdf"), "a")
    lost = @room.errands.ask("paper", about("tags.pdf").merge("job" => 999_999), "b")
    assert_equal "done", ended(paper).state
    assert_equal "%PDF", @room.errands.made(paper.id).byteslice(0, 4)
    assert_equal %w[failed gone], ended(lost).to_h.values_at(:state, :why)
    assert_empty S.db[:que_jobs].where(finished_at: nil).exclude(error_count: 0).all
  end

  def test_killed_in_the_middle_it_is_done_again
    4.times { |index| @room.windows(@job.id).copy(@job.windows.first, name: "Bay #{index}") }
    @worker.start { |words| @gone << words }
    paper = @room.errands.ask("paper", about("work-order.pdf"), "a")
    till { @room.errands.find(paper.id).parts.positive? }
    Process.kill(:KILL, @worker.pid)
    assert_match(/worker.rb.*started again/, Timeout.timeout(LONGEST) { @gone.pop })
    assert_equal "done", ended(paper).state
    assert_equal 2, S.db[:errands].where(id: paper.id).get(:tries)
  end

  def test_stopped_it_is_ended_and_the_next_one_is_done
    8.times { |index| @room.windows(@job.id).copy(@job.windows.first, name: "Bay #{index}") }
    @worker.start { |words| @gone << words }
    long = @room.errands.ask("paper", about("work-order.pdf"), "a")
    till { @room.errands.find(long.id).parts.positive? }
    @room.errands.stop(long.id)
    plan = @room.errands.ask("plan", {"job" => @job.id, "cloth" => cloth, "name" => "Reedbed"}, "b")
    assert_equal "done", ended(plan).state
    assert_equal "stopped", @room.errands.find(long.id).state
    assert_nil @room.errands.made(long.id)
    refute_empty @room.rows(:kept_plans).all
  end

  def test_what_kills_its_worker_each_time_is_given_up
    errand = @room.errands.ask("plan", {"job" => @job.id, "cloth" => cloth, "name" => "Reedbed"}, "a")
    3.times { assert @room.errands.begin(errand.id) }
    assert_nil @room.errands.begin(errand.id)
    assert_equal %w[failed killed], @room.errands.find(errand.id).to_h.values_at(:state, :why)
  end

  def test_it_ends_with_whoever_started_it
    @worker.start { |words| @gone << words }
    done = @room.errands.ask("plan", {"job" => @job.id, "cloth" => cloth, "name" => "Reedbed"}, "a")
    ended(done)
    pid = @worker.pid
    @worker.stop
    assert_raises(Errno::ESRCH) { Process.kill(0, pid) }
    assert_empty @gone
  end

  private

  def about(file) = {"job" => @job.id, "file" => file, "title" => @job.title, "opens" => "http://127.0.0.1/:work"}

  def cloth = @room.cloths.all.find { |one| one.spec["name"].start_with?("Reedbed") }.id

  def ended(errand)
    till { !@room.errands.find(errand.id).live? }
    @room.errands.find(errand.id)
  end

  # Waits for another process, looking every so often: there is nothing to be told by.
  def till
    Timeout.timeout(LONGEST) { IO.select(nil, nil, nil, 0.05) until yield }
  end
end
