# frozen_string_literal: true

# Starts the database and the application, and stops what it started. See bin/start.
require "fileutils"
require "open3"
require "securerandom"
require "socket"
require_relative "authority"
require_relative "beside"
require_relative "free_port"
require_relative "local_postgres"

ROOT = File.expand_path("..", __dir__)
FLAGS = %w[--no-demo --reset-demo --yes --lan].freeze

def stop_with(line)
  warn line
  exit 1
end

def port
  number = Integer(ENV.fetch("PORT", "4180"), 10)
  return number if number.between?(1, 65_535)

  stop_with("PORT must be from 1 to 65535, not #{number}.")
rescue ArgumentError
  stop_with("PORT must be a number, not #{ENV["PORT"]}.")
end

def check_port(number)
  TCPServer.new("127.0.0.1", number).close
rescue Errno::EADDRINUSE
  stop_with("Port #{number} is taken. Stop what listens there, or choose another: PORT=#{number + 1} bin/start")
rescue SystemCallError => refused
  stop_with("Port #{number} can't be used (#{refused.message}). Choose another: PORT=4180 bin/start")
end

# Sessions are signed; the key is made once and kept with the data.
def session_secret
  file = File.join(ROOT, "var", "session-secret")
  FileUtils.mkdir_p(File.dirname(file))
  File.write(file, SecureRandom.hex(64), perm: 0o600) unless File.exist?(file)
  File.read(file)
end

# What is there goes only when somebody says so, and a copy of it stays.
def reset_agreed?(workroom)
  jobs, papers = %i[jobs papers].map { |table| workroom.rows(table).count }
  return true if ARGV.include?("--yes") || jobs.zero?
  goes = "all work (jobs: #{jobs}, papers: #{papers})"
  stop_with("--reset-demo takes away #{goes}: say --yes to agree.") unless $stdin.tty?

  print "This takes away #{goes}; a copy of it is made first. Type yes to go on: "
  $stdin.gets.to_s.strip == "yes"
end

# Before anything is changed that can't be taken back.
def copied_first(url, why)
  return if EarnestFold::Store.db[:jobs].empty?

  puts "A copy before #{why}: #{Copies.new(url).make}"
end

# The night's copy, by itself; what newer ones stand for goes.
def copy_nightly(url)
  Thread.new do
    loop do
      sleep 600
      last = EarnestFold::Store.db[:copies].max(:at)
      next if EarnestFold::Store.db[:jobs].empty? || !Copies.due?(last, Time.now)

      Open3.capture2e({"DATABASE_URL" => url}, RbConfig.ruby, File.join(ROOT, "support", "copy.rb"), "backup")
      Copies.thin
    rescue => error
      EarnestFold::Web::RequestLog.note("the night's copy could not be made", error)
    end
  end
end

# What takes longer than a page may wait is worked out beside the application: pages go on meanwhile.
def worker_beside(url)
  log = File.join(ROOT, "var", "worker.log")
  Beside.new(
    {"DATABASE_URL" => url, "REQUEST_LOG" => log},
    RbConfig.ruby,
    File.join(ROOT, "support", "worker.rb"),
    "--leashed",
    log: log
  )
end

# The demo house has stand-ins for what is outside: what they take stays on this machine.
def stand_ins(number)
  ENV["BOUNCE_KEY"] ||= SecureRandom.hex(16)
  back = {"BOUNCE_TO" => "http://127.0.0.1:#{number}/bounced"}
  [["post", "POST_URL", "smtp", "outbox", {"from" => "workroom@saltmarsh.example"}],
    ["printer", "PRINTER_URL", "tcp", "printed", {}]].filter_map do |name, address, scheme, folder, more|
    next unless ENV[address].to_s.empty?

    folder, port = File.join(ROOT, "var", folder), FreePort.find
    ENV[address] = "#{scheme}://127.0.0.1:#{port}?#{URI.encode_www_form(more.merge("stand_in" => folder))}"
    script = File.join(ROOT, "support", "#{name}_stand_in.rb")
    Beside.new(back, RbConfig.ruby, script, folder, port.to_s, "leashed", log: File.join(ROOT, "var", "#{name}.log"))
      .start { |words| warn_at(words) }
  end
end

def supplier_stand_in
  return unless ENV["SUPPLIER_URL"].to_s.empty?

  port, script = FreePort.find, File.join(ROOT, "support", "supplier_stand_in.rb")
  ENV["SUPPLIER_URL"] = "http://127.0.0.1:#{port}/?stand_in=yes"
  Beside.new({}, RbConfig.ruby, script, port.to_s, "leashed", log: File.join(ROOT, "var", "supplier.log"))
    .start { |words| warn_at(words) }
end

# A distance meter of the demo house's owner, with a button on a page of its own; a key of its own at each start.
def meter_stand_in(number)
  workroom = EarnestFold::Store.demo_workroom
  owner = workroom.people.all.find { |person| person.role == EarnestFold::Store::People::OWNER } or return
  meters, name = workroom.meters, EarnestFold::Words.say("meter.stand_in")
  meters.of(owner.id).select { |meter| meter.name == name }.each { |meter| meters.away(owner.id, meter.id) }
  key, port = meters.connect(owner.id, name), FreePort.find
  script, to = File.join(ROOT, "support", "meter_stand_in.rb"), "http://127.0.0.1:#{number}/readings"
  puts "A distance meter to try, #{owner.name}'s: http://127.0.0.1:#{port}/"
  log = File.join(ROOT, "var", "meter.log")
  Beside.new({"METER_KEY" => key}, RbConfig.ruby, script, to, port.to_s, "leashed", log: log)
    .start { |words| warn_at(words) }
end

# What is written here is this user's alone; the folder itself can be passed through, to where the database's own user
# keeps its data.
def make_folder
  folder = File.join(ROOT, "var")
  FileUtils.mkdir_p(folder, mode: 0o755)
  File.umask(0o077)
  tried = File.join(folder, ".tried-#{Process.pid}")
  File.write(tried, "room for a few lines" * 1000)
  File.delete(tried)
rescue SystemCallError => refused
  stop_with("#{folder} can't be written to (#{refused.message}): make room on its disk, or give it to this user.")
end

# For other devices in the house: the address, as a code too, and the certificate that they trust once.
def tell_house(hosts, number)
  require "rqrcode_core"
  address = "https://#{hosts.first}:#{number}/"
  rows = RQRCodeCore::QRCode.new(address, level: :l).modules
  quiet = Array.new(rows.size + 4, false)
  framed = [quiet, quiet, *rows.map { |row| [false, false, *row, false, false] }, quiet, quiet]
  framed.each_slice(2) do |upper, lower|
    puts upper.zip(lower || quiet).map { |dark, below|
      if dark
        below ? " " : "▄"
      else
        (below ? "▀" : "█")
      end
    }.join
  end
  puts "Earnest Fold is open in this house at #{address}  (Ctrl-C closes it)"
  puts "Each device trusts its certificate once: #{address}authority.crt. Also: #{hosts.drop(1).join(", ")}"
end

# The address by which the first owner comes in; made anew at each start until somebody did.
def set_up_key(workroom)
  owner = workroom.people.all.find { |person| person.role == EarnestFold::Store::People::OWNER }&.id
  owner ||= workroom.people.add(EarnestFold::Words.say("people.first"), role: EarnestFold::Store::People::OWNER)
  workroom.invitations.make(owner)
end

# For Prometheus, on this machine alone, whoever else the house is open to.
def metrics_at(number)
  stop_with("METRICS_PORT is #{number}: it must be a number like 9464.") unless number.match?(/\A\d{2,5}\z/)
  app = ->(env) { EarnestFold::Web::Metrics::TOLD.call(env) }
  puma = Puma::Server.new(app, nil, min_threads: 1, max_threads: 2, log_writer: Puma::LogWriter.null)
  puma.add_tcp_listener("127.0.0.1", Integer(number, 10))
  puma.tap(&:run)
rescue Errno::EADDRINUSE
  stop_with("Port #{number} (METRICS_PORT) is taken by somebody else.")
end

def warn_at(words) = warn("#{Time.now.strftime("%F %T")} #{words}")

make_folder
unknown = ARGV - FLAGS
stop_with("bin/start knows #{FLAGS.join(" and ")}, not #{unknown.join(" ")}.") if unknown.any?
number = port
check_port(number)

begin
  server = LocalPostgres.new("app").start unless ENV["DATABASE_URL"]
  ENV["DATABASE_URL"] ||= server.url("earnest_fold")
  ENV["SESSION_SECRET"] ||= session_secret
  ENV["RACK_ENV"] ||= "production"
  require_relative "../lib/earnest_fold"
  require_relative "copies"
  EarnestFold::Store.connect(ENV["DATABASE_URL"])
  copied_first(ENV["DATABASE_URL"], "the tables are changed") unless EarnestFold::Store.current?
  EarnestFold::Store.migrate
  %i[once errands kept_plans].each { |room| EarnestFold::Store.workroom.public_send(room).forget_old }
  unless ARGV.include?("--no-demo")
    workroom = EarnestFold::Store.workroom
    if ARGV.include?("--reset-demo")
      stop_with("Nothing was changed.") unless reset_agreed?(workroom)
      copied_first(ENV["DATABASE_URL"], "the demo house is loaded anew")
    end
    bill = EarnestFold::Documents::BillContent.method(:of)
    workroom.transaction do
      loaded = EarnestFold::Store::DemoHouse.new(workroom).load(reset: ARGV.include?("--reset-demo"), whole: true)
      if loaded
        EarnestFold::Work::DemoProgress.new(workroom, &bill).load
        EarnestFold::Work::DemoCustomers.new(workroom).load
      end
    end
  end

  workroom = EarnestFold::Store.workroom
  lan = ARGV.include?("--lan") ? Authority.hosts : nil
  if lan && !workroom.people.owned?
    stop_with("Nobody signs in by a password yet: bin/start --no-demo tells the address by which the first owner does.")
  end
  ENV["ALLOWED_HOSTS"] = [*ENV["ALLOWED_HOSTS"], *lan].join(",") if lan
  ENV["EARNEST_FOLD_LAN"] = lan ? "open" : "closed"
  authority = lan && Authority.new(File.join(ROOT, "var", "tls")).ready(["127.0.0.1", "localhost", *lan])
  demo = !lan && !ARGV.include?("--no-demo") && !EarnestFold::Store.demo_workroom.nil?
  ENV["EARNEST_FOLD_DEMO"] = demo ? "open" : "closed"
  first_key = (demo || workroom.people.owned?) ? nil : set_up_key(workroom)

  ENV["REQUEST_LOG"] ||= File.join(ROOT, "var", "requests.log")
  ENV["DOOR_LOG"] ||= File.join(ROOT, "var", "door.log")
  # Before the server takes Ctrl-C over, which it answers only once it listens.
  EarnestFold::LOADER.eager_load
  require "puma"
  require "puma/configuration"
  require "puma/events"
  require "puma/launcher"
  require_relative "puma_buffers"
  configuration = Puma::Configuration.new do |puma|
    if lan
      puma.ssl_bind "0.0.0.0", number, cert: authority.server_certificate, key: authority.server_key
    else
      puma.bind "tcp://127.0.0.1:#{number}"
    end
    puma.threads 2, 5
    puma.workers 0
    # What is larger is refused while it comes, before any of it is kept.
    puma.http_content_length_limit EarnestFold::Web::Sizes::MOST
    puma.environment ENV["RACK_ENV"]
    puma.app EarnestFold::Web::App
    puma.quiet
  end
  $stdout.sync = true
  metrics = ENV["METRICS_PORT"] && metrics_at(ENV["METRICS_PORT"])
  server&.watched { |words| warn_at(words) }
  copy_nightly(ENV["DATABASE_URL"])
  outside = demo ? [*stand_ins(number), *supplier_stand_in, *meter_stand_in(number)] : []
  worker = worker_beside(ENV["DATABASE_URL"]).start { |words| warn_at(words) }
  events = Puma::Events.new
  events.after_booted do
    next tell_house(lan, number) if lan

    puts "Earnest Fold is open at http://127.0.0.1:#{number}/  (Ctrl-C closes it)"
    puts "Nobody signs in yet. The first owner comes in by http://127.0.0.1:#{number}/join/#{first_key}" if first_key
  end
  Puma::Launcher.new(
    configuration,
    events: events,
    log_writer: Puma::LogWriter.new(File.open(File::NULL, "w"), $stderr)
  ).run
rescue LocalPostgres::Trouble => trouble
  warn trouble.message
  status = 1
rescue SignalException
  status = 0
rescue => error
  said = [*(Copies::Trouble if defined?(Copies)),
    *(EarnestFold::Store::Unreachable if defined?(EarnestFold::Store::Unreachable))]
  raise if said.none? { |one| error.is_a?(one) }

  warn error.message
  status = 1
ensure
  worker&.stop
  outside&.each(&:stop)
  metrics&.stop(true)
  EarnestFold::Store.disconnect if defined?(EarnestFold::Store)
  server&.stop
end
exit status.to_i
