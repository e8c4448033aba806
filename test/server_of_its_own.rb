# frozen_string_literal: true

require "net/http"
require "timeout"
require_relative "../support/free_port"

# The application in a process of its own, with somebody signed in: to be killed, and started again.
class ServerOfItsOwn
  ROOT = File.expand_path("..", __dir__)
  SERVER = <<~RUBY
    require "puma"
    require "puma/configuration"
    require "puma/launcher"
    quiet = Puma::LogWriter.new(File.open(File::NULL, "w"), File.open(File::NULL, "w"))
    Puma::Launcher.new(Puma::Configuration.new { |puma|
      puma.bind "tcp://127.0.0.1:\#{ENV.fetch("PORT")}"
      puma.threads 1, 4
      puma.app { |env|
        require "./lib/earnest_fold"
        store = EarnestFold::Store
        store.connect(ENV.fetch("DATABASE_URL")) unless store.connected?
        who = store::Accounts::Who.new(account_id: 0, workroom_id: store.workroom.id, person_id: 0, name: "Ida",
          role: "owner", books: true, second: false)
        EarnestFold::Web::App.call(env.merge("earnest_fold.who" => who))
      }
      puma.quiet
    }, log_writer: quiet).run
  RUBY

  # @param secret [String] of its sessions
  # @param database [String] its address
  def initialize(secret, database = ENV.fetch("DATABASE_URL"))
    @secret, @database = secret, database
    @port = FreePort.find
  end

  # @return [String] its address
  def house = "http://127.0.0.1:#{@port}"

  # @return [ServerOfItsOwn] self, once it answers
  def start
    environment = {
      "DATABASE_URL" => @database,
      "PORT" => @port.to_s,
      "SESSION_SECRET" => @secret,
      "RACK_ENV" => "test"
    }
    @server = spawn(environment, "ruby", "-Ilib", "-e", SERVER, chdir: ROOT, out: File::NULL, err: File::NULL)
    answers?
    self
  end

  def kill
    return unless @server

    Process.kill(:KILL, @server)
    Process.wait(@server)
    @server = nil
  end

  private

  # Asked again until it is up.
  def answers?
    Timeout.timeout(60) do
      Net::HTTP.get_response(URI("#{house}/keys"))
    rescue SystemCallError
      IO.select(nil, nil, nil, 0.05)
      retry
    end
  end
end
