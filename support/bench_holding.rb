# frozen_string_literal: true

# How it holds: the whole application in processes of its own, asked as browsers ask.
#   bin/bench holding          signing in, and other pages while the largest plan runs
#   bin/bench load [MINUTES]   fifty mixed requests a second; an hour where nothing is said
require "json"
require "net/http"
require "securerandom"
require "socket"
require_relative "local_postgres"
require_relative "../lib/earnest_fold"

# The server and its worker, started as they are in use, with the demo house in a database of their own.
class House
  ROOT = File.expand_path("..", __dir__)

  attr_reader :port

  def initialize
    @postgres = LocalPostgres.new("bench").start unless ENV["DATABASE_URL"]
    @url = ENV["DATABASE_URL"] || @postgres.url("earnest_fold_holding")
    EarnestFold::Store.connect(@url)
    EarnestFold::Store.migrate
    EarnestFold::Store::DemoHouse.new(workroom).load(reset: true, whole: true)
    EarnestFold::Store.db[:accounts].delete
    @port = TCPServer.open("127.0.0.1", 0) { |socket| socket.addr[1] }
  end

  def workroom = EarnestFold::Store.workroom

  def start
    environment = {
      "DATABASE_URL" => @url, "SESSION_SECRET" => SecureRandom.hex(64), "RACK_ENV" => "production",
      "REQUEST_LOG" => File::NULL
    }
    puma = %W[puma --quiet --bind tcp://127.0.0.1:#{port} --threads 2:5 config.ru]
    @server = spawn(environment, "bundle", "exec", *puma, chdir: ROOT, out: File::NULL)
    @leash, held = IO.pipe.reverse
    @worker = spawn(environment, "bundle", "exec", "ruby", "support/worker.rb", "--leashed", chdir: ROOT, in: held)
    held.close
    answers?
    self
  end

  # @return [Array<Integer>] megabytes: of the server, and of the worker with what it makes
  def memory = [resident(@server), [@worker, *children(@worker)].sum { |id| resident(id) }]

  def stop
    [@server, @worker].compact.each do |id|
      Process.kill(:TERM, id)
      Process.wait(id)
    end
    @leash&.close
    EarnestFold::Store.disconnect
    @postgres&.stop
  end

  private

  def answers?
    Net::HTTP.get_response(URI("http://127.0.0.1:#{port}/ready"))
  rescue SystemCallError
    sleep(0.1)
    retry
  end

  def resident(id)
    File.read("/proc/#{id}/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024
  rescue SystemCallError
    0
  end

  def children(id) = File.read("/proc/#{id}/task/#{id}/children").split.map { |child| Integer(child, 10) }
end

# Somebody with a browser: signed in, with the page that was shown last.
class Browser
  PASSWORD = "tape chalk bodkin hem"

  def initialize(port)
    @http = Net::HTTP.start("127.0.0.1", port, read_timeout: 60)
  end

  # @param key [String] of an invitation
  def join(key, login)
    get("/join/#{key}")
    post("/join/#{key}", "name" => login, "login" => "#{login}@sluice.example", "password" => PASSWORD,
      "again" => PASSWORD)
  end

  def sign_in(login)
    get("/me/sign-in")
    post("/me/sign-in", "login" => "#{login}@sluice.example", "password" => PASSWORD)
  end

  def get(path) = shown(@http.get(path, headers))

  def post(path, fields, more = {})
    request = Net::HTTP::Post.new(path, headers.merge(more))
    request.set_form_data({"authenticity_token" => @token, "once" => SecureRandom.uuid}.merge(fields))
    shown(@http.request(request))
  end

  # @param document [Hash]
  def bring_in(document)
    get("/jobs")
    request = Net::HTTP::Post.new("/jobs/import", headers)
    file = ["file", JSON.dump(document), {filename: "a.fold.json", content_type: "application/json"}]
    request.set_form([["authenticity_token", @token], file], "multipart/form-data")
    shown(@http.request(request))["location"][%r{/jobs/\d+}]
  end

  private

  def headers = @cookie ? {"Cookie" => @cookie} : {}

  def shown(answer)
    @cookie = answer["set-cookie"].split(";").first if answer["set-cookie"]
    @token = answer.body[/name="authenticity_token" value="([^"]+)"/, 1] || @token if answer.body
    answer
  end
end

# What is measured.
module Holding
  # The largest plan: so many windows, and pieces of each cloth.
  WINDOWS, PIECES = 60, 80
  SIDE_BY_SIDE = 8
  SECOND = 50
  # Of a hundred requests so many are edits; now and then a job is made, a paper is written, a plan is looked at.
  EDITS, HANDS = 25, 4

  module_function

  def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)

  def with_house
    house = House.new.start
    yield house
  ensure
    house&.stop
  end

  def browser(house, login)
    person = house.workroom.people.add(login, role: "owner")
    Browser.new(house.port).tap { |one| one.join(house.workroom.invitations.make(person), login) }
  end

  def late(times, share = 0.95) = times.sort[(times.size * share).floor]

  def timed
    start = clock
    yield
    (clock - start) * 1000
  end

  def holding
    with_house do |house|
      ida = browser(house, "ida")
      pages = house.workroom.jobs.list.map { |line| "/jobs/#{line.id}" }
      pages.each { |path| ida.get(path) }
      signing_in(house, ida, pages)
      beside_a_plan(house, ida, pages)
    end
  end

  def signing_in(house, ida, pages)
    alone = Array.new(200) { |index| timed { ida.get(pages[index % pages.size]) } }
    times, done = [], false
    others = Thread.new do
      10.times { times << timed { Browser.new(house.port).sign_in("ida") } }
      done = true
    end
    beside = []
    beside << timed { ida.get(pages[beside.size % pages.size]) } until done
    others.join
    puts format("signing in, with its page: %.0f ms in the middle (wanted: under 400)", late(times, 0.5))
    puts format("other pages' p95: %.1f ms alone, %.1f ms while others sign in", late(alone), late(beside))
  end

  def beside_a_plan(house, ida, pages)
    large = ida.bring_in(document)
    first = ida.get(large).body[%r{#{large}/treatments/\d+/cutting}]
    alone = for_seconds { |index| ida.get(pages[index % pages.size]) }
    puts format("the first look at the largest plan: %.1f s", timed { ida.get(first) } / 1000)
    most = house.memory
    beside = for_seconds do |index|
      most = [most, house.memory].transpose.map(&:max) if (index % 20).zero?
      ida.get(pages[index % pages.size])
    end
    puts format(
      "other pages' p95 while it runs: %.1f ms, %.1f alone: %.1f times (wanted: at most 3)",
      late(beside), late(alone), late(beside) / late(alone)
    )
    puts format("memory: server %d MB (wanted: under 400), worker %d MB (wanted: under 600)", *most)
  end

  def for_seconds
    times, ends = [], clock + SIDE_BY_SIDE
    times << timed { yield times.size } while clock < ends
    times
  end

  def document
    made = JSON.parse(File.read(Dir[File.join(House::ROOT, "test/golden/02-*.fold.json")].first))
    window = made["windows"].first
    made["windows"] = Array.new(WINDOWS) do |index|
      works = window["treatments"].map do |work|
        work.merge("id" => "t#{index}", "support" => work["support"].merge("length" => 100 + index * 7))
      end
      window.merge("id" => "w#{index}", "name" => "Window #{index}", "treatments" => works)
    end
    made["cloths"].each_with_index do |cloth, number|
      cloth["pieces"] = Array.new(PIECES) { |index| {"id" => "b#{number}-#{index}", "length" => 3000 + index * 7} }
    end
    made
  end

  # So many hands share the requests of each second out.
  def load(minutes)
    with_house do |house|
      done, wrong, lock = [], [], Mutex.new
      ends, begun = clock + minutes * 60, clock
      hands = Array.new(HANDS) do |number|
        one = Hand.new(house, browser(house, "hand#{number}"), number)
        Thread.new { paced(ends, HANDS / SECOND.to_f) { |turn| noted(one, turn, done, wrong, lock) } }
      end
      watch(house, begun, ends, done, wrong, lock)
      hands.each(&:join)
    end
  end

  def paced(ends, apart)
    turn, at = 0, clock
    while clock < ends
      yield turn
      turn, at = turn + 1, at + apart
      left = at - clock
      left.positive? ? sleep(left) : at = clock
    end
  end

  def noted(hand, turn, done, wrong, lock)
    answer, what = nil, nil
    time = timed { what, answer = hand.do(turn) }
    lock.synchronize do
      done << time
      wrong << "#{what} #{answer.code}" unless answer.code.match?(/\A[23]/)
    end
  rescue => error
    lock.synchronize { wrong << "#{what} #{error.class}" }
  end

  # A line for each minute.
  def watch(house, begun, ends, done, wrong, lock)
    minute = 0
    while clock < ends
      sleep([begun + (minute += 1) * 60 - clock, ends - clock].min.clamp(0, 60))
      times, errors = lock.synchronize { [done.slice!(0..), wrong.dup] }
      puts format("minute %d: %d requests, p95 %.0f ms, server %d MB, worker %d MB, %d errors %s",
        minute, times.size, late(times) || 0, *house.memory, errors.size, errors.tally.first(3))
      $stdout.flush
    end
  end

  # One hand of the load: looks, edits, and now and then makes something.
  class Hand
    LOOKS = %w[measure heading cloth cutting making hanging].freeze

    def initialize(house, browser, number)
      @browser, @number = browser, number
      jobs = house.workroom.jobs.list.sort_by(&:id).map { |line| house.workroom.jobs.find(line.id) }
      @works = jobs.select { |job| job.unit == "cm" }.flat_map do |job|
        job.treatments.select { |made| made.sort == "made" }.map { |made| "/jobs/#{job.id}/treatments/#{made.id}" }
      end
    end

    # @return [Array(String, Net::HTTPResponse)]
    def do(turn)
      return ["a job", @browser.post("/jobs", "title" => "Load #{@number}", "unit" => "cm")] if (turn % 500) == 499
      return ["a paper", @browser.get("#{work(turn)}/hanging-sheet.pdf")] if (turn % 250) == 249
      return edit if (turn % 100) < Holding::EDITS

      path = (turn % 3).zero? ? %w[/today /jobs /diary /shelf /cloths /customers][turn / 3 % 6] : look(turn)
      [path, @browser.get(path)]
    end

    private

    def work(turn) = @works[turn % @works.size]

    def look(turn) = "#{work(turn)}/#{LOOKS[turn % LOOKS.size]}"

    # As a page's journal sends it, at a work that no other hand edits.
    def edit
      path = "#{@works[@number]}/measure"
      @seen ||= field(@browser.get(path).body)
      typed = ((@typed = @typed.to_i + 1) % 40 + 5).to_s
      answer = @browser.post(
        path,
        {"unit" => "cm", "return_left" => typed, "saw[return_left]" => @seen},
        {"HX-Request" => "true", "X-Journal" => "1"}
      )
      @seen = (answer.code == "200") ? typed : nil
      ["an edit", answer]
    end

    def field(body) = body[/name="return_left" value="([^"]*)"/, 1]
  end
end

begin
  (ARGV.first == "load") ? Holding.load(Float(ARGV[1] || 60)) : Holding.holding
rescue LocalPostgres::Trouble, EarnestFold::Store::Unreachable => trouble
  abort trouble.message
end
