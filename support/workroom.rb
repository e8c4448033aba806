# frozen_string_literal: true

# Takes the whole workroom out as one open file, or brings one into an empty workroom. See bin/workroom.
require_relative "local_postgres"
require_relative "../lib/earnest_fold"

ARCHIVE = EarnestFold::Documents::WorkroomArchive
STORE = EarnestFold::Store

def house
  @house ||= EarnestFold::Work::MovingHouse.new(STORE.workroom) do |kept|
    EarnestFold::Documents::JobWriter.new(EarnestFold::Documents::JobWriter::Kept.new(**kept)).text
  end
end

def files = ARCHIVE.files(*house.out)

def take_out(file)
  made = files
  File.open(file, File::WRONLY | File::CREAT | File::EXCL, 0o600) do |out|
    out.binmode
    out.write(ARCHIVE.pack(made, STORE::WholeWorkroom.version))
  end
  puts "#{file}: #{made.keys.grep(/\Ajobs/).size} jobs, #{(File.size(file) / 1024.0 / 1024).ceil} MB"
rescue Errno::EEXIST
  abort "#{file} is there already: nothing was written."
end

def bring_in(file)
  opened = ARCHIVE.open(File.binread(file))
  if opened.tables != STORE::WholeWorkroom.version
    abort "#{file} fits tables of the state #{opened.tables}; these are #{STORE::WholeWorkroom.version}. " \
      "Bring it in with the version of Earnest Fold that made it, then start this one there."
  end
  rows = STORE::WholeWorkroom::Rows.new(house: opened.house, tables: opened.rows, bytes: opened.bytes)
  house.in(rows, opened.hashes) { ARCHIVE.hashes(files) }
  puts "All of #{file} is here: #{opened.hashes.keys.grep(/\Ajobs/).size} jobs, each as it was. Who works here signs " \
    "in anew, by a link from an owner."
rescue STORE::Taken
  abort "There is work in this workroom: an archive goes into an empty one (bin/start --no-demo in a new folder)."
rescue EarnestFold::Reckoning::Invalid
  abort "#{file} isn't a workroom's archive, or isn't whole any more: nothing was brought in."
rescue EarnestFold::Work::MovingHouse::Differs => differs
  abort "It didn't come in as it was (#{differs.message}): nothing was brought in."
rescue Errno::ENOENT
  abort "There is no #{file}."
end

what, file, *rest = ARGV
unless rest.empty? && file && %w[out in].include?(what)
  warn "bin/workroom out FILE   bin/workroom in FILE"
  exit 64
end

begin
  server = LocalPostgres.new("app").start unless ENV["DATABASE_URL"]
  STORE.connect(ENV["DATABASE_URL"] || server.url("earnest_fold"))
  STORE.migrate if what == "in" || STORE.db.tables.empty?
  (what == "out") ? take_out(file) : bring_in(file)
rescue LocalPostgres::Trouble, STORE::Unreachable => trouble
  abort trouble.message
ensure
  STORE.disconnect
  server&.stop
end
