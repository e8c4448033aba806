# frozen_string_literal: true

# Runs the tests in a process of their own, with a database server of their own where they need one. See bin/test.
require "etc"
require_relative "local_postgres"

ROOT = File.expand_path("..", __dir__)
PARTS = {
  "core" => %w[test/reckoning test/laws test/golden], "store" => %w[test/store], "web" => %w[test/web test/drawings test/words],
  "cli" => %w[test/command_line test/documents], "system" => %w[test/system], "project" => %w[test/project], "sweep" => %w[test/sweep]
}.freeze
NO_DATABASE = PARTS.values_at("core", "cli").flatten

def files_of(argument)
  return PARTS[argument].flat_map { |folder| Dir[File.join(ROOT, folder, "**/*_test.rb")] } if PARTS.key?(argument)

  path = [argument, File.join(ENV.fetch("CALLED_FROM", ROOT), argument)].find { |candidate| File.exist?(candidate) }
  abort "There is no part and no test file called #{argument}. Parts: #{PARTS.keys.join(", ")}." unless path
  File.directory?(path) ? Dir[File.join(path, "**/*_test.rb")] : [path]
end

files = (ARGV.empty? ? PARTS.keys : ARGV).flat_map { |argument| files_of(argument) }.map { |file| File.expand_path(file) }.uniq.sort
abort "There is no test in #{ARGV.join(" ")}." if files.empty?
needs_database = files.any? { |file| NO_DATABASE.none? { |folder| file.start_with?(File.join(ROOT, folder, "")) } }

begin
  # Every document there is where the sweep alone is asked for; a few of them in a run of everything.
  environment = {"RACK_ENV" => "test", "SESSION_SECRET" => nil, "SWEEP" => (ARGV == ["sweep"]) ? "whole" : ENV["SWEEP"]}
  server = LocalPostgres.new("test", settings: LocalPostgres::FORGETFUL).start if needs_database && !ENV["DATABASE_URL"]
  command = ["ruby", "-W1", "-Ilib", "-Itest", "-e", "ARGV.each { |file| require file }; ARGV.clear", *files]
  # The whole sweep is shared out among the processors, each with a database of its own.
  shares = (environment["SWEEP"] == "whole" && server) ? Etc.nprocessors : 1
  runners = Array.new(shares) do |share|
    own = environment.merge("SWEEP_SHARE" => "#{share}/#{shares}")
    own["DATABASE_URL"] = ENV["DATABASE_URL"] || server.url("earnest_fold_test#{"_#{share}" if share.positive?}") if needs_database
    spawn(own, *command, chdir: ROOT)
  end
  trap("INT") { nil }
  status = runners.map { |runner| Process.wait2(runner).last.exitstatus || 1 }.max
rescue LocalPostgres::Trouble => trouble
  warn trouble.message
  status = 1
ensure
  server&.stop
end
exit status
