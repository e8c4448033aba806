# frozen_string_literal: true

require "test_helper"
require "fileutils"
require "timeout"
require File.expand_path("../../support/local_postgres", __dir__)

# The database that the application brings up is looked after: it comes back when it dies, and whoever leaves last stops
# it.
class LocalPostgresTest < EarnestFoldTest
  extend Walks.tests(1/2r)

  NAME = "looked-after-#{Process.pid}"

  def setup
    @first = LocalPostgres.new(NAME, settings: LocalPostgres::FORGETFUL).start
  end

  def teardown
    @first.stop
    FileUtils.rm_rf(home)
  end

  def test_it_is_started_again_when_it_dies
    told = Queue.new
    @first.watched { |words| told << words }
    Process.kill("KILL", Integer(File.readlines(pid_file).first, 10))
    words = Timeout.timeout(15) { told.pop }
    words = Timeout.timeout(15) { told.pop } if words.include?("doesn't start yet")
    assert_match(/is started again/, words)
    assert_kind_of String, @first.url("earnest_fold")
  end

  def test_whoever_leaves_last_stops_it
    second = LocalPostgres.new(NAME).start
    second.stop
    assert_kind_of String, @first.url("earnest_fold")
    third = LocalPostgres.new(NAME).start
    @first.stop
    assert File.exist?(pid_file), "somebody still uses it"
    third.stop
    refute File.exist?(pid_file)
  end

  # The machine went off, and the number in its file is another program's now.
  def test_a_number_that_is_somebody_elses_by_now_is_forgotten
    @first.stop
    File.write(pid_file, "#{Process.pid}\n#{home}/data\n1\n54320\n")
    @first.start
    assert_kind_of String, @first.url("earnest_fold")
  end

  # After an upgrade of the machine: no other version touches them, and it is told what to do.
  def test_data_of_another_version_are_left_alone
    @first.stop
    file = File.join(home, "data", "PG_VERSION")
    version = File.read(file)
    File.write(file, "9\n")
    trouble = assert_raises(LocalPostgres::Trouble) { LocalPostgres.new(NAME).start }
    assert_match(/are PostgreSQL 9.s, and this machine has [\d, ]+: apt-get install postgresql-9,/, trouble.message)
    File.write(file, version)
    assert_kind_of String, @first.start.url("earnest_fold")
  end

  private

  def home = @first.send(:home)

  def pid_file = File.join(home, "data", "postmaster.pid")
end
