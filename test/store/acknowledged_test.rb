# frozen_string_literal: true

require "test_helper"
require "fileutils"
require "pg"
require "securerandom"
require "server_of_its_own"
require_relative "../../support/local_postgres"

# The server is killed again and again, or its database, while several hands save: whatever it said yes to is there, and
# nothing is there twice, however often it was sent. The database is one of its own, as durable as in use.
class AcknowledgedTest < EarnestFoldTest
  extend Walks.tests(1/2r)

  NAME = "acknowledged-#{Process.pid}"
  JOBS, TICKS, PAPERS, HANDS, KILLS = 200, 50, 10, 4, (Walks::WHOLE ? 4 : 2)
  # How long a hand waits before it tries again, in seconds.
  AGAIN = 0.05

  # One browser: its session, and what it sends, each under a key of its own until it is said yes to.
  class Hand
    def initialize(house)
      @house = URI(house)
    end

    # Sent again until it is said yes to, under the same key.
    def save(path, fields)
      key = SecureRandom.uuid
      IO.select(nil, nil, nil, AGAIN) until taken?(path, fields.merge("once" => key))
    end

    private

    def taken?(path, fields)
      answer = posted(path, fields.merge("authenticity_token" => signed))
      return true if answer.code == "303"

      @cookie = nil
      false
    rescue SystemCallError, IOError, Timeout::Error
      @cookie = nil
      false
    end

    def signed
      return @token if @cookie

      page = Net::HTTP.get_response(@house + "/jobs")
      @cookie = page["set-cookie"].to_s.split(";").first
      @token = page.body[/name="authenticity_token" value="([^"]+)"/, 1]
    end

    def posted(path, fields)
      request = Net::HTTP::Post.new(path, {"Cookie" => @cookie})
      request.set_form_data(fields)
      Net::HTTP.start(@house.host, @house.port, read_timeout: 10) { |http| http.request(request) }
    end
  end

  # The demo house, and where one of its windows is worked at: job, work, and the step.
  FURNISH = <<~RUBY
    require "earnest_fold"
    store = EarnestFold::Store
    store.connect(ENV.fetch("DATABASE_URL"))
    store.migrate
    store::DemoHouse.new(store.workroom).load
    id = store.workroom.jobs.list.find { |line| line.title == "Ticket office" }.id
    work = EarnestFold::Work::Workroom.new(store.workroom).job(id).works.first
    print id, " ", work.id, " ", work.steps.first.code
  RUBY

  def setup
    @postgres = LocalPostgres.new(NAME).start
    @url = @postgres.url("earnest_fold_acknowledged")
    furnished = IO.popen({"DATABASE_URL" => @url}, ["ruby", "-Ilib", "-e", FURNISH], chdir: ROOT, &:read)
    @job, @work, @step = furnished.split
    @server = ServerOfItsOwn.new(SecureRandom.hex(64), @url).start
  end

  def teardown
    @server.kill
    @postgres.stop
    FileUtils.rm_rf(@postgres.send(:home))
  end

  def test_what_was_said_yes_to_is_there_once_when_the_server_is_killed
    said_and_killed do
      @server.kill
      @server.start
    end
  end

  def test_what_was_said_yes_to_is_there_once_when_the_database_is_killed
    back = Queue.new
    @postgres.watched { |words| back << words }
    said_and_killed do
      Process.kill("KILL", Integer(File.readlines(@postgres.send(:pid_file)).first, 10))
      nil until back.pop.include?("is started again")
    end
  end

  private

  def said_and_killed(&kill)
    waiting, acknowledged = Queue.new, Queue.new
    all.shuffle(random: Random.new(7)).each { |one| waiting << one }
    waiting.close
    hands = Array.new(HANDS) { hand(waiting, acknowledged) }
    killed_every((JOBS + TICKS + PAPERS) / (KILLS + 1), acknowledged, &kill)
    hands.each(&:join)
    there_once
  end

  def all
    ticked = ["/jobs/#{@job}/treatments/#{@work}/bench", {"step" => @step, "curtain" => "", "said" => "done"}]
    Array.new(JOBS) { |index| ["/jobs", {"title" => "Room #{index}", "unit" => "cm"}] } + [ticked] * TICKS +
      [["/jobs/#{@job}/papers", {"kind" => "invoice", "customer" => "The ferry office"}]] * PAPERS
  end

  def there_once
    database = PG.connect(@url)
    rooms = database.exec("SELECT title FROM jobs WHERE title LIKE 'Room %'").column_values(0)
    numbers = database.exec("SELECT number FROM papers WHERE kind = 'invoice' ORDER BY number").column_values(0)
    assert_equal Array.new(JOBS) { |index| "Room #{index}" }.sort, rooms.sort
    assert_equal (1..PAPERS).to_a, numbers.map { |number| Integer(number, 10) }
    assert_equal TICKS.to_s, database.exec("SELECT count(*) FROM bench_entries WHERE kind = 'done'").getvalue(0, 0)
  ensure
    database&.close
  end

  def hand(waiting, acknowledged)
    Thread.new do
      one = Hand.new(@server.house)
      while (path, fields = waiting.pop)
        one.save(path, fields)
        acknowledged << path
      end
    end
  end

  def killed_every(number, acknowledged)
    KILLS.times do
      number.times { acknowledged.pop }
      yield
    end
  end
end
