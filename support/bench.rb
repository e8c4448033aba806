# frozen_string_literal: true

# Speed, measured beside a baseline in the same run. See bin/bench.
require "net/http"
require "socket"
require_relative "local_postgres"
require_relative "../lib/earnest_fold"

# Numbers of one run.
module Bench
  R = EarnestFold::Reckoning
  PARTS = %w[core cli web].freeze
  DOCUMENTS = File.expand_path("../test/golden/*.fold.json", __dir__)

  module_function

  def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)

  def median(numbers) = numbers.sort[numbers.size / 2]

  # The jobs are copied before each run, so that nothing is remembered from the run before.
  # @return [Float] seconds, the median of some runs after two to warm up
  def seconds(lists, runs = 11)
    times = Array.new(runs) do
      jobs = lists.map { |treatments| job(treatments.map { |made| made.with(name: "") }) }
      GC.start
      start = clock
      jobs.each { |job| reckon_whole(job) }
      clock - start
    end
    median(times.drop(2))
  end

  def reckon_whole(job) = R::JobReckoning.new(job).treatments.each { |one| [one.checks, one.mass, one.working] }

  # Reckoning with its checks, mass and working, as a screen needs it.
  def core
    one = [treatments.find { |made| made.heading.is_a?(R::PencilPleat) }]
    time = seconds([one] * 300)
    puts format("reckoning one pencil pleat treatment: %d a second (wanted: 2000)", 300 / time)
    mixed(200)
  end

  def mixed(count)
    small, large = cycle(count), cycle(2 * count)
    time, double = seconds([small]), seconds([large])
    puts format("a job of %d mixed treatments: %d a second (wanted: 1500); twice as many take %.2f times as long (wanted: at most 2.2)", count, count / time, double / time)
  end

  def treatments = @treatments ||= Dir[DOCUMENTS].sort.flat_map { |file| EarnestFold::Documents::JobFormat.read(File.read(file)).treatments }

  # Distinct ids and cloths by document, so that nothing is shared by accident.
  def cycle(count)
    Array.new(count) { |index| treatments[index % treatments.size].with(id: "t#{index}") }
  end

  def job(treatments)
    R::Job.new(title: "Bench", unit: R::Units::CM, cloths: treatments.flat_map(&:cloths).uniq(&:id), alterations: [], small_parts: [],
      windows: treatments.map { |made| R::Window.new(id: made.id, room: "", name: "", treatments: [made]) })
  end

  # The command line on one document, beside a Ruby that only loads the same gems.
  def cli
    root = File.expand_path("..", __dir__)
    document = File.join(root, "test/golden/02-patterned-interlined-bay.fold.json")
    gems = %w[bundler/setup zeitwerk i18n json bigdecimal json_schemer].map { |name| "-r#{name}" }
    bare = process("ruby", *gems, "-e", "1")
    whole = process(File.join(root, "bin/earnest-fold"), "reckon", document)
    puts format("the command line on one document: %.2f s, %.2f s more than loading its gems (wanted: at most 0.6 more)", whole, whole - bare)
  end

  # @return [Float] seconds of a whole process, the median of some runs
  def process(*command)
    median(Array.new(7) {
      start = clock
      system(*command, out: File::NULL) || abort("#{command.first} failed")
      clock - start
    })
  end

  # Whole requests through Puma: each screen beside the bare page, taken in turn.
  def web
    with_application do |address, paths|
      http = Net::HTTP.start(address.host, address.port)
      fetch = ->(path) { clock.then { |start| (http.get(path).code == "200") ? (clock - start) * 1000 : abort("#{path} failed") } }
      paths.each_value { |path| 30.times { fetch.call(path) } }
      times = paths.transform_values { [] }
      200.times { paths.each { |name, path| times[name] << fetch.call(path) } }
      report(times.transform_values { |list| median(list) })
    end
  end

  def report(medians)
    bare = medians.fetch("bare page")
    medians.each { |name, time| puts format("%-10s %6.2f ms   %.1f times the bare page%s", name, time, time / bare, (name == "cloth") ? " (wanted: at most 5)" : "") }
  end

  def with_application
    server = LocalPostgres.new("bench").start unless ENV["DATABASE_URL"]
    EarnestFold::Store.connect(ENV["DATABASE_URL"] || server.url("earnest_fold_bench"))
    EarnestFold::Store.migrate
    workroom = EarnestFold::Store.workroom
    EarnestFold::Store::DemoHouse.new(workroom).load(reset: true)
    job = workroom.jobs.find(workroom.jobs.list.first.id)
    serve { |address| yield address, paths(job) }
  ensure
    EarnestFold::Store.disconnect
    server&.stop
  end

  def paths(job)
    treatment = "/jobs/#{job.id}/treatments/#{job.treatments.first.id}"
    {"bare page" => "/keys", "jobs" => "/jobs", "job" => "/jobs/#{job.id}", "measure" => "#{treatment}/measure", "heading" => "#{treatment}/heading",
     "cloth" => "#{treatment}/cloth", "cutting" => "#{treatment}/cutting"}
  end

  def serve
    require "puma"
    require "puma/server"
    ENV["RACK_ENV"] = "production"
    EarnestFold::LOADER.eager_load
    puma = Puma::Server.new(EarnestFold::Web::App.new, nil, min_threads: 2, max_threads: 5, log_writer: Puma::LogWriter.null)
    listener = puma.add_tcp_listener("127.0.0.1", 0)
    puma.run
    yield URI("http://127.0.0.1:#{listener.addr[1]}")
  ensure
    puma&.stop(true)
  end
end

begin
  (ARGV.empty? ? Bench::PARTS : ARGV).each { |part| Bench::PARTS.include?(part) ? Bench.public_send(part) : abort("bin/bench knows #{Bench::PARTS.join(", ")}.") }
rescue LocalPostgres::Trouble, EarnestFold::Store::Unreachable => trouble
  abort trouble.message
end
