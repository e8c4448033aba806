# frozen_string_literal: true

# Makes a copy of everything, or fills an empty place from one. See bin/backup and bin/restore.
require_relative "copies"
require_relative "local_postgres"

what, file, *rest = ARGV
understood = rest.empty? && (what == "backup" || (what == "restore" && file))
unless understood
  warn "bin/backup [FILE]   bin/restore FILE      COPY_PASSPHRASE=… seals a copy, or opens a sealed one"
  exit 64
end

status = 0
begin
  server = LocalPostgres.new("app").start unless ENV["DATABASE_URL"]
  url = ENV["DATABASE_URL"] || server.url("earnest_fold")
  EarnestFold::Store.connect(url)
  EarnestFold::Store.migrate if what == "restore" || EarnestFold::Store.db.tables.empty?
  passphrase = ENV["COPY_PASSPHRASE"].to_s.empty? ? nil : ENV["COPY_PASSPHRASE"]
  copies = Copies.new(url)
  if what == "backup"
    made = copies.make(file, passphrase: passphrase)
    puts "#{made} (#{(File.size(made) / 1024.0 / 1024).ceil} MB#{", sealed" if passphrase})"
  else
    manifest = copies.restore(file, passphrase: passphrase)
    puts "Everything of #{manifest["made"]} is here again: #{manifest["counts"]["jobs"]} jobs, " \
      "#{manifest.dig("figures", "reckoned") || "no"} works reckoned as they were."
  end
rescue Copies::Trouble, LocalPostgres::Trouble, EarnestFold::Store::Unreachable => trouble
  warn trouble.message
  status = 1
ensure
  EarnestFold::Store.disconnect
  server&.stop
end
exit status
