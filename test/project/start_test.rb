# frozen_string_literal: true

require "store_test_helper"
require "places_of_their_own"
require "open3"
require "socket"
require "timeout"
require "net/http"
require_relative "../../support/free_port"

# The start command: its faults, each in one clear line, and that it stops what it started.
class StartTest < EarnestFoldTest
  extend Walks.tests(1/2r)

  include PlacesOfTheirOwn

  PLACES = %w[started_first].freeze
  # Seconds until nothing more is to be hoped for: a machine that does much else takes its time.
  PATIENCE = 180

  def test_a_taken_port_says_what_to_do
    taken = TCPServer.new("127.0.0.1", 0)
    output, status = start({"PORT" => taken.addr[1].to_s})
    refute_predicate status, :success?
    assert_match(/\APort #{taken.addr[1]} is taken\. .*PORT=/, output)
    assert_equal 1, output.lines.size
  ensure
    taken.close
  end

  def test_a_port_that_is_none
    output, = start({"PORT" => "eighty"})
    assert_equal "PORT must be a number, not eighty.\n", output
  end

  def test_a_refused_database
    output, status = start({"PORT" => free_port, "DATABASE_URL" => "postgres://x:y@127.0.0.1:1/none"})
    refute_predicate status, :success?
    assert_match(/refuses the connection/, output)
    assert_equal 1, output.lines.size
  end

  def test_an_unknown_flag
    output, status = start({}, "--demon")
    refute_predicate status, :success?
    assert_match(/knows --no-demo and --reset-demo and --yes and --lan, not --demon/, output)
  end

  # As on a full disk: nothing can be written.
  def test_a_folder_that_takes_nothing
    full = ["sh", "-c", "trap '' XFSZ; ulimit -f 0; exec \"$@\"", "-"]
    output, status = Open3.capture2e({"PORT" => free_port}, *full, *command)
    refute_predicate status, :success?
    assert_match(%r{\A\S+/var can't be written to \(.*\): make room on its disk}, output)
    assert_equal 1, output.lines.size
  end

  # Nothing goes without somebody's word.
  def test_a_reset_asks_first
    database = {"PORT" => free_port, "DATABASE_URL" => ENV.fetch("DATABASE_URL")}
    id = EarnestFold::Store.workroom.jobs.create(title: "Stays", unit: "cm")
    environment = {"RACK_ENV" => "production"}.merge(database)
    output, status = Open3.capture2e(environment, *command, "--reset-demo", stdin_data: "")
    refute_predicate status, :success?
    assert_match(/takes away all work \(jobs: \d+, papers: \d+\): say --yes/, output)
    assert EarnestFold::Store.workroom.jobs.find(id)
  ensure
    EarnestFold::Store.db[:jobs].where(id: id).delete
  end

  def test_it_starts_serves_and_stops
    port = free_port
    # Without any locale, as on a bare machine.
    Open3.popen2e(
      {
        "LC_ALL" => nil,
        "LANG" => nil,
        "PORT" => port,
        "DATABASE_URL" => url("started_first"),
        "REQUEST_LOG" => File::NULL,
        "RACK_ENV" => "production"
      },
      *command,
      "--no-demo",
      pgroup: true
    ) do |_, output, thread|
      line = Timeout.timeout(PATIENCE) { output.each_line.find { |one| one.include?("http") } }
      assert_match(%r{http://127\.0\.0\.1:#{port}/}, line)
      assert_equal "303", Net::HTTP.get_response(URI("http://127.0.0.1:#{port}/")).code
      # As Ctrl-C does: it goes to everything that was started in that terminal.
      Process.kill("INT", -thread.pid)
      assert_predicate Timeout.timeout(PATIENCE) { thread.value }, :success?
      refute_match(/gone|Error/, output.read)
    end
    assert_raises(Errno::ECONNREFUSED) { TCPSocket.new("127.0.0.1", port) }
  end

  private

  # Past the installing, which every other test stands on.
  def command = ["ruby", root("support/start.rb")]

  def start(environment, *arguments) =
    Open3.capture2e({"RACK_ENV" => "production"}.merge(environment), *command, *arguments)

  def free_port = FreePort.find.to_s
end
