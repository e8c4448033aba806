# frozen_string_literal: true

require "system_test_helper"
require "net/http"
require "securerandom"
require "socket"

# The house is killed and started again while somebody types, measures and ticks: every figure is kept, none twice.
class KilledTest < SystemTest
  SECRET = SecureRandom.hex(64)
  SERVER = <<~RUBY
    require "puma"
    require "puma/configuration"
    require "puma/launcher"
    quiet = Puma::LogWriter.new(File.open(File::NULL, "w"), File.open(File::NULL, "w"))
    Puma::Launcher.new(Puma::Configuration.new { |puma|
      puma.bind "tcp://127.0.0.1:\#{ENV.fetch("PORT")}"
      puma.threads 1, 4
      puma.app { |env|
        require "./lib/earnest_fold"
        store = EarnestFold::Store
        store.connect(ENV.fetch("DATABASE_URL")) unless store.connected?
        who = store::Accounts::Who.new(account_id: 0, workroom_id: store.workroom.id, person_id: 0, name: "Ida",
          role: "owner", books: true, second: false)
        EarnestFold::Web::App.call(env.merge("earnest_fold.who" => who))
      }
      puma.quiet
    }, log_writer: quiet).run
  RUBY

  def setup
    super
    @port = TCPServer.open("127.0.0.1", 0) { |socket| socket.addr[1] }
    start
  end

  def teardown
    kill
    super
  end

  def test_nothing_is_lost_while_the_house_is_killed_and_started_again
    visit "#{house}/jobs/#{office.id}/treatments/#{treatment.id}/measure"
    type "Overlap, in all", "14"
    kill
    type "Left return", "8"
    type "Ease, each", "1.5"
    assert_selector ".unsent-mark", minimum: 2
    start
    assert_settled
    assert_equal ["14 cm", "8 cm", "1.5 cm"], spec.values_at("overlap", "return_left", "ease")
    assert_equal 3, workroom.treatments.changes(treatment.id).size
  end

  def test_what_is_said_at_the_bench_and_the_table_survives_it_too
    visit "#{house}/jobs/#{office.id}/treatments/#{treatment.id}/bench?step=mark_drop&curtain=left"
    fill_in "Left at the leading edge", with: "212.7"
    kill
    click_on "Keep it", match: :first
    assert_selector "#journal", text: "212.7"
    start
    assert_selector ".verdict.right", text: "212.7 cm"
    kill
    click_on "It is done"
    assert_selector "#journal", text: "It is done"
    start
    assert_selector ".in-turn .ticked", count: 1
    assert_equal %w[measured done], workroom.bench.entries(treatment.id).map(&:kind) - %w[corrected]
  end

  private

  def house = "http://127.0.0.1:#{@port}"

  def start
    environment = {
      "DATABASE_URL" => ENV.fetch("DATABASE_URL"),
      "PORT" => @port.to_s,
      "SESSION_SECRET" => SECRET,
      "RACK_ENV" => "test"
    }
    @server = spawn(environment, "ruby", "-Ilib", "-e", SERVER, chdir: ROOT, out: File::NULL, err: File::NULL)
    answers?
  end

  def kill
    return unless @server

    Process.kill(:KILL, @server)
    Process.wait(@server)
    @server = nil
  end

  # Asked again until it is up.
  def answers?
    Timeout.timeout(60) do
      Net::HTTP.get_response(URI("#{house}/keys"))
    rescue SystemCallError
      Thread.pass
      retry
    end
  end

  def office = workroom.jobs.find(workroom.jobs.list.find { |line| line.title == "Ticket office" }.id)

  def treatment = office.treatments.first

  def spec = treatment.spec
end
