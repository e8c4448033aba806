# frozen_string_literal: true

require "puma"
require "puma/log_writer"

# What every stand-in does as a process: it goes on until it is told to end, or until its input ends where somebody
# keeps it on a leash.
module StandIn
  module_function

  # @param leashed [String, nil]
  def wait(leashed)
    quit = Queue.new
    %w[INT TERM].each { |name| trap(name) { quit << name } }
    Thread.new { $stdin.read.then { quit << "the end" } } if leashed
    quit.pop
  end

  # @param port [Integer]
  # @yield where it begins to listen
  def at(port)
    yield
  rescue Errno::EADDRINUSE
    abort "Port #{port} is taken: choose another."
  end

  # One that answers over HTTP, on this machine alone.
  # @param app [#call]
  # @param words [String] said where nobody keeps it
  def serve(app, port, leashed, words)
    server = Puma::Server.new(app, nil, log_writer: Puma::LogWriter.null)
    at(port) { server.add_tcp_listener("127.0.0.1", port) }
    server.run
    warn words unless leashed
    wait(leashed)
    server.stop(true)
  end
end
