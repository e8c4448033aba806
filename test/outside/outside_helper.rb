# frozen_string_literal: true

require "test_helper"
require "puma"
require "puma/log_writer"
require "socket"
require "tmpdir"
require "uri"
require_relative "../../support/free_port"

# What a real thing outside can be held to: bin/test outside URL asks the one at that address (https:// or http:// a
# supplier, smtp:// or smtps:// the post, tcp:// a label printer); without one the stand-in is asked. What costs
# anything (an order, a letter, a label) is only tried on a real one where OUTSIDE_REALLY=yes.
class OutsideTest < EarnestFoldTest
  A = EarnestFold::Adapters

  private

  # @param schemes [Array<String>] of the thing that is asked here
  # @return [String, nil] the real one's address
  def real(*schemes)
    url = ENV["OUTSIDE_URL"].to_s
    return if url.empty?

    schemes.include?(URI(url).scheme) ? url : skip("#{URI(url).scheme} is another thing")
  end

  def really = (ENV["OUTSIDE_URL"].to_s.empty? || ENV["OUTSIDE_REALLY"] == "yes") || skip("OUTSIDE_REALLY=yes tries it")

  # A stand-in that answers over the line.
  def served(app)
    quiet = {log_writer: Puma::LogWriter.null, min_threads: 1, max_threads: 2}
    port, server = FreePort.find, Puma::Server.new(app, nil, **quiet)
    server.add_tcp_listener("127.0.0.1", port)
    server.run
    yield "http://127.0.0.1:#{port}/"
  ensure
    server&.halt(true)
  end
end
