# frozen_string_literal: true

# Runs the tests in processes of their own, one more than there are processors (browsers are waited for), each with a
# database of its own. See bin/test.
require "etc"
require_relative "local_postgres"

ROOT = File.expand_path("..", __dir__)
PARTS = {
  "core" => %w[test/reckoning test/laws test/golden],
  "store" => %w[test/store],
  "work" => %w[test/work],
  "web" => %w[test/web test/drawings test/words test/locale],
  "cli" => %w[test/command_line test/documents],
  "system" => %w[test/system],
  "project" => %w[test/project],
  "outside" => %w[test/outside],
  "sweep" => %w[test/sweep]
}.freeze
# Everything, with every case of it: a run of everything takes some of what has very many (test/walks.rb).
THOROUGH = "thorough"
NO_DATABASE = PARTS.values_at("core", "cli", "outside").flatten
# What is outside may be asked at its own address: bin/test outside URL.
OUTSIDE = ARGV.find { |argument| argument.match?(%r{\A\w+://}) }
ARGV.delete(OUTSIDE)
ASKED_FOR = ARGV - [THOROUGH]

def files_of(argument)
  return tests_of(PARTS[argument]) if PARTS.key?(argument)

  path = [argument, File.join(ENV.fetch("CALLED_FROM", ROOT), argument)].find { |candidate| File.exist?(candidate) }
  abort "There is no part and no test file called #{argument}. Parts: #{PARTS.keys.join(", ")}." unless path
  File.directory?(path) ? Dir[File.join(path, "**/*_test.rb")] : [path]
end

def tests_of(folders) = folders.flat_map { |folder| Dir[File.join(ROOT, folder, "**/*_test.rb")] }

# So many shares each runner takes of a sort, one after the other: nobody is left with the slowest. The browser's, which
# come last, are the smallest.
OF_BROWSERS, OF_REQUESTS, OF_THE_REST = 2, 1, 1

# What a file takes beside others: the browser's are the longest.
WEIGHTS = {
  "system" => 12, "sweep" => 20, "work" => 40, "project" => 10, "laws" => 4, "golden" => 4, "locale" => 12
}.freeze

def weight(file) = File.size(file) * WEIGHTS.fetch(file.delete_prefix(File.join(ROOT, "test", "")).split("/").first, 1)

# What a browser test kept, and the demo house that stands round the tests of requests, stays in its database until the
# next process begins it anew: nobody else is in their shares.
def apart(files, number)
  browsers, rest = files.partition { |file| file.start_with?(File.join(ROOT, "test", "system", "")) }
  furnished, rest = rest.partition { |file| furnished?(file) }
  {browsers => OF_BROWSERS, furnished => OF_REQUESTS, rest => OF_THE_REST}
    .flat_map { |those, each| shared(those, number * each) }
    .reject(&:empty?)
    .sort_by { |share| -share.sum { |file| weight(file) } }
end

# The demo house stands round each of its tests.
def furnished?(file) = File.read(file).include?("< WebTest")

# What more than one share needs is loaded once.
LOADED = %w[earnest_fold rack/test nokogiri pdf-reader capybara selenium-webdriver].freeze

def load_once
  LOADED.each { |name| require name }
  EarnestFold::LOADER.eager_load
end

# @return [Integer] the exit status of a process that has these tests alone
def run_apart(own, environment)
  runs = fork do
    trap("INT", "DEFAULT")
    ENV.update(environment)
    ARGV.replace(ENV.fetch("TESTOPTS", "").split)
    own.each { |file| require file }
  end
  Process.wait2(runs).last.exitstatus || 1
end

# Shared out, the heaviest first, each to whoever has least.
def shared(files, number)
  files
    .sort_by { |file| [-weight(file), file] }
    .each_with_object(Array.new(number) { [] }) do |file, shares|
      shares.min_by { |share| share.sum { |one| weight(one) } } << file
    end
end

files =
  (ASKED_FOR.empty? ? PARTS.keys : ASKED_FOR)
    .flat_map { |argument| files_of(argument) }
    .map { |file| File.expand_path(file) }
    .uniq
    .sort
abort "There is no test in #{ARGV.join(" ")}." if files.empty?
needs_database = files.any? { |file| NO_DATABASE.none? { |folder| file.start_with?(File.join(ROOT, folder, "")) } }

begin
  if ARGV.empty?
    ENV["WALKS"] = "some"
    ENV["WALK_SEED"] ||= rand(100_000).to_s
    puts "Of what has very many cases, some (bin/test thorough: all): WALK_SEED=#{ENV["WALK_SEED"]} takes these again."
  end
  # Every document there is where the sweep alone is asked for.
  ENV.update(
    "RACK_ENV" => "test",
    "SESSION_SECRET" => nil,
    # A slow machine plans in the page all the same: what is left to others is tested by itself.
    "PLAN_PATIENCE" => "60",
    "OUTSIDE_URL" => OUTSIDE,
    "SWEEP" => (ARGV == ["sweep"]) ? "whole" : ENV["SWEEP"]
  )
  $LOAD_PATH.unshift(File.join(ROOT, "lib"), File.join(ROOT, "test"))
  server = LocalPostgres.new("test", settings: LocalPostgres::FORGETFUL).start if needs_database && !ENV["DATABASE_URL"]
  number = server ? Etc.nprocessors + 1 : 1
  # Of the whole sweep each takes some documents; else whoever is free takes the next share of files, the heaviest
  # first.
  whole = ENV["SWEEP"] == "whole"
  shares = whole ? Array.new(number) { files } : apart(files, number)
  waiting = Queue.new
  shares.each_with_index { |own, share| waiting << [own, whole ? "#{share}/#{number}" : "0/1"] }
  waiting.close
  load_once if shares.size > 1
  trap("INT") { waiting.clear }
  runners = Array.new([number, shares.size].min) do |runner|
    own_database = {}
    if needs_database
      own_database["DATABASE_URL"] = ENV["DATABASE_URL"] ||
        server.url("earnest_fold_test#{"_#{runner}" if runner.positive?}")
    end
    Thread.new do
      worst = 0
      while (own, share = waiting.pop)
        house = {"FURNISHED" => ("yes" if own.all? { |file| furnished?(file) })}
        worst = [worst, run_apart(own, {**own_database, **house, "SWEEP_SHARE" => share})].max
      end
      worst
    end
  end
  status = runners.map(&:value).max
rescue LocalPostgres::Trouble => trouble
  warn trouble.message
  status = 1
ensure
  server&.stop
end
exit status
