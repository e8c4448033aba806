# frozen_string_literal: true

require "irb"
require_relative "local_postgres"
require_relative "../lib/earnest_fold"

server = LocalPostgres.new("app").start unless ENV["DATABASE_URL"]
begin
  EarnestFold::Store.connect(ENV["DATABASE_URL"] || server.url("earnest_fold"))
  puts "EarnestFold::Store.workroom is the workroom; EarnestFold::Reckoning the core."
  ARGV.clear
  IRB.start(__FILE__)
ensure
  server&.stop
end
