# frozen_string_literal: true

require "digest"
require "fileutils"
require "json"
require "open3"
require "openssl"
require "rubygems/package"
require "tempfile"
require "time"
require "tmpdir"
require "uri"
require_relative "../lib/earnest_fold"

# Copies of everything that the workroom has: one file each, a tar of the database as PostgreSQL's own tools write it
# and of a manifest with counts and hashes. What is secret (session key, passwords) isn't in it. With a passphrase it is
# encrypted as a whole.
class Copies
  # Says in one line what is wrong and what to do.
  class Trouble < StandardError; end

  FORMAT, VERSION = "earnest-fold/copy", 1
  MANIFEST, DUMP = "manifest.json", "database.dump"
  FOLDER = File.join(EarnestFold.root, "var", "copies")
  # What an encrypted file begins with; then salt, nonce, what is kept secret, and the tag that proves it whole.
  SEALED = "EARNESTFOLD-SEALED-1\n"
  SALT, NONCE, TAG = 16, 12, 16
  KEY = {N: 2**15, r: 8, p: 1, length: 32}.freeze
  CHUNK = 1024 * 1024
  # What a new place has by itself.
  OF_A_NEW_PLACE = %i[schema_info workrooms rule_sets copies].freeze
  # So many copies are left: one a day, a week, a month.
  LEFT = {days: 7, weeks: 5, months: 12}.freeze

  # @param url [String] of the database
  def initialize(url)
    @url = url
  end

  # @param file [String, nil] nil for a name of its own in the usual folder
  # @param passphrase [String, nil]
  # @return [String] the file that was made: whole, or not there
  def make(file = nil, passphrase: nil)
    file = File.expand_path(file || own_name)
    raise Trouble, "#{file} is there already: name another file." if File.exist?(file)

    FileUtils.mkdir_p(File.dirname(file), mode: 0o700)
    Dir.mktmpdir("copy", File.dirname(file)) do |folder|
      whole = packed(folder)
      whole = seal(whole, passphrase) if passphrase
      File.chmod(0o600, whole)
      File.open(whole, &:fsync)
      File.rename(whole, file)
    end
    note(file)
    file
  rescue SystemCallError => error
    raise Trouble, "The copy could not be written (#{error.message}): nothing was changed."
  end

  # @param file [String]
  # @param passphrase [String, nil]
  # @return [Hash] the manifest, once everything is there and found to be the same
  # @raise [Trouble] where the place isn't empty, the file isn't whole, or what came isn't what went
  def restore(file, passphrase: nil)
    raise Trouble, "There is no file #{file}." unless File.file?(file)

    refuse_unless_empty
    refuse_if_open
    Dir.mktmpdir("restored") do |folder|
      manifest = unpacked(opened(file, passphrase, folder), folder)
      refill(File.join(folder, DUMP))
      verify(manifest)
      store.migrate
      manifest
    end
  end

  # Takes away what newer copies stand for.
  # @param folder [String]
  # @return [Array<String>] what went
  def self.thin(folder = FOLDER)
    files = Dir[File.join(folder, "*.copy")].sort_by { |file| File.mtime(file) }.reverse
    kept = {days: "%Y-%m-%d", weeks: "%G-%V", months: "%Y-%m"}.flat_map do |span, named|
      files.uniq { |file| File.mtime(file).utc.strftime(named) }.first(LEFT.fetch(span))
    end
    (files - kept).each { |file| File.delete(file) }
  end

  # @param last [Time, nil] of the last copy
  # @param now [Time]
  # @return [Boolean] whether the night's copy is still to be made: after three in the morning
  def self.due?(last, now)
    night = Time.new(now.year, now.month, now.day, 3, 0, 0, now.utc_offset)
    night -= 86_400 if now < night
    last.nil? || last < night
  end

  private

  def store = EarnestFold::Store

  # An older version's tables have no place for it yet.
  def note(file)
    return unless store.db.tables.include?(:copies)

    store.db[:copies].insert(name: File.basename(file), bytes: File.size(file))
  end

  def own_name
    stamp = Time.now.utc.strftime("%Y-%m-%dT%H-%M-%SZ")
    name = "earnest-fold-#{stamp}"
    [name, *(2..99).map { |number| "#{name}-#{number}" }].map { |one| File.join(FOLDER, "#{one}.copy") }
      .find { |path| !File.exist?(path) }
  end

  # Counts, figures and the dump are of the same moment, whoever works meanwhile.
  def packed(folder)
    dump = File.join(folder, DUMP)
    manifest = store.db.transaction(isolation: :repeatable) do
      snapshot = store.db.get(Sequel.function(:pg_export_snapshot))
      tool("pg_dump", "--format=custom", "--no-owner", "--no-privileges", "--snapshot=#{snapshot}", "--file=#{dump}")
      {"format" => FORMAT, "version" => VERSION, "made" => Time.now.utc.iso8601, "counts" => counts,
       "figures" => figures, "sha256" => Digest::SHA256.file(dump).hexdigest}
    end
    tarred(File.join(folder, "whole.tar"), dump, JSON.pretty_generate(manifest))
  end

  def tarred(path, dump, manifest)
    File.open(path, "wb", 0o600) do |file|
      Gem::Package::TarWriter.new(file) do |tar|
        tar.add_file_simple(MANIFEST, 0o600, manifest.bytesize) { |entry| entry.write(manifest) }
        tar.add_file_simple(DUMP, 0o600, File.size(dump)) do |entry|
          File.open(dump, "rb") { |from| IO.copy_stream(from, entry) }
        end
      end
    end
    path
  end

  # @return [Hash{String => Integer}] rows by table
  def counts = (store.db.tables - %i[schema_info copies]).sort.to_h { |table| [table.to_s, store.db[table].count] }

  # Every work reckoned: what comes back must give the same.
  # @return [Hash, nil] how many works there are, how many could be reckoned, and the hash of their figures; nil where
  #   the tables are an older version's
  def figures
    return unless store.current?

    works = store.db[:workrooms].select_order_map(:id).flat_map { |id| works_of(store::Workroom.new(id)) }
    {"works" => works.size, "reckoned" => works.count(&:last), "sha256" => Digest::SHA256.hexdigest(works.inspect)}
  end

  def works_of(workroom)
    house, cloths = workroom.house.read, workroom.cloths.all
    workroom.rows(:jobs).select_order_map(:id).flat_map do |id|
      EarnestFold::Work::Job.new(workroom.jobs.find(id), cloths, house).works.map do |work|
        made = work.reckoning
        [id, work.id, made && (made.respond_to?(:cut_drop) ? [made.cut_drop.mm, made.widths_total] : "altered")]
      end
    end
  end

  def refuse_unless_empty
    filled = (store.db.tables - OF_A_NEW_PLACE).reject { |table| store.db[table].empty? }
    return if filled.empty?

    raise Trouble, "There is something here already (#{filled.first(3).join(", ")}): restore into an empty place."
  end

  # Whoever looks at these tables would find others.
  def refuse_if_open
    others = store.db[:pg_stat_activity].where(datname: database, backend_type: "client backend")
      .exclude(pid: Sequel.function(:pg_backend_pid))
    raise Trouble, "The application is open: close it first." unless others.empty?
  end

  def refill(dump)
    store.db.run("DROP SCHEMA public CASCADE; CREATE SCHEMA public")
    tool("pg_restore", "--no-owner", "--no-privileges", "--exit-on-error", "--single-transaction",
      "--dbname=#{database}", dump)
  end

  def verify(manifest)
    found = counts
    apart = manifest["counts"].reject { |table, count| found[table] == count }
    raise Trouble, "What came isn't what went: #{apart.keys.join(", ")} differ." if apart.any?
    return if manifest["figures"].nil? || manifest["figures"] == figures

    raise Trouble, "Everything is there, but it isn't reckoned as it was: restore it with the version that made it."
  end

  def opened(file, passphrase, folder)
    sealed = File.open(file, "rb") { |from| from.read(SEALED.bytesize) } == SEALED
    return file unless sealed
    raise Trouble, "This copy is sealed: give its passphrase in COPY_PASSPHRASE." unless passphrase

    unsealed(file, passphrase, File.join(folder, "whole.tar"))
  end

  def unpacked(file, folder)
    File.open(file, "rb") do |from|
      Gem::Package::TarReader.new(from) do |tar|
        tar.each do |entry|
          next unless [MANIFEST, DUMP].include?(entry.full_name)

          File.open(File.join(folder, entry.full_name), "wb") { |to| IO.copy_stream(entry, to) }
        end
      end
    end
    checked(folder)
  rescue Gem::Package::TarInvalidError, JSON::ParserError, ArgumentError, Errno::ENOENT, EOFError
    raise Trouble, "#{file} is no copy of Earnest Fold, or it isn't whole."
  end

  def checked(folder)
    manifest = JSON.parse(File.read(File.join(folder, MANIFEST)))
    raise Trouble, "This copy was made by a newer version." unless manifest["version"] == VERSION
    return manifest if Digest::SHA256.file(File.join(folder, DUMP)).hexdigest == manifest["sha256"]

    raise Trouble, "This copy isn't whole any more: its hash is another."
  end

  def cipher(way, passphrase, salt, nonce)
    made = OpenSSL::Cipher.new("aes-256-gcm").public_send(way)
    made.key = OpenSSL::KDF.scrypt(passphrase, salt: salt, **KEY)
    made.iv = nonce
    made
  end

  def seal(path, passphrase)
    salt, nonce = OpenSSL::Random.random_bytes(SALT), OpenSSL::Random.random_bytes(NONCE)
    made = cipher(:encrypt, passphrase, salt, nonce)
    File.open("#{path}.sealed", "wb", 0o600) do |to|
      to.write(SEALED, salt, nonce)
      File.open(path, "rb") { |from| to.write(made.update(from.read(CHUNK))) until from.eof? }
      to.write(made.final, made.auth_tag(TAG))
    end
    "#{path}.sealed"
  end

  def unsealed(file, passphrase, path)
    File.open(file, "rb") do |from|
      from.seek(SEALED.bytesize)
      made = cipher(:decrypt, passphrase, from.read(SALT), from.read(NONCE))
      left = File.size(file) - from.pos - TAG
      File.open(path, "wb", 0o600) do |to|
        while left.positive?
          part = from.read([CHUNK, left].min)
          left -= part.bytesize
          to.write(made.update(part))
        end
      end
      made.auth_tag = from.read(TAG)
      made.final
    end
    path
  rescue OpenSSL::Cipher::CipherError
    raise Trouble, "The passphrase is another, or the copy was changed."
  end

  # PostgreSQL's own tools, with the password where nobody sees it.
  def tool(name, *arguments)
    address = URI.parse(@url)
    secret = address.password && URI.decode_www_form_component(address.password)
    environment = {"PGHOST" => address.host, "PGPORT" => (address.port || 5432).to_s, "PGDATABASE" => database,
                   "PGUSER" => address.user, "PGPASSWORD" => secret}
    output, status = Open3.capture2e(environment.compact, program(name), *arguments)
    raise Trouble, "#{name} could not do it: #{output.lines.last&.strip}" unless status.success?
  end

  def database = URI.parse(@url).path.delete_prefix("/")

  def program(name)
    folder = Dir["/usr/lib/postgresql/*/bin"].max_by { |path| path[%r{/(\d+)/bin}, 1].to_i }
    folder ? File.join(folder, name) : name
  end
end
