# frozen_string_literal: true

require "test_helper"
require "net/http"
require "timeout"
require_relative "../../support/puma_buffers"

# An answer that is gathered while the server still puts away the one before, on the same connection, arrives whole.
class PumaBuffersTest < EarnestFoldTest
  PATIENCE = 10
  # What happens, told from one thread to the other.
  HANDED, GATHERING, PUT_AWAY = Array.new(3) { Queue.new }

  # Hands the connection on, and goes on with what comes after when the next answer is being gathered.
  module HandsOnAndWaits
    def add(client) = super.tap { hand_on if client.requests_served.positive? }

    def hand_on
      HANDED << true
      GATHERING.pop
    end
  end

  # Tells when the connection was put away.
  module Tells
    def process_client(...) = super.tap { PUT_AWAY << true }
  end

  # An answer that is gathered at the very moment.
  class Parts
    def each
      GATHERING << true
      PUT_AWAY.pop
      yield "the whole of it"
    end
  end

  def test_what_comes_after_an_answer_takes_nothing_of_the_next
    served(->(env) { [200, {}, (env["PATH_INFO"] == "/next") ? Parts.new : ["first"]] }) do |http|
      assert_equal "first", http.get("/").body
      HANDED.pop
      assert_equal "the whole of it", http.get("/next").body
      GATHERING << true
    end
  end

  private

  def served(app)
    server = Puma::Server.new(app, nil, min_threads: 2, max_threads: 4, log_writer: Puma::LogWriter.null)
    server.singleton_class.prepend(Tells)
    listener = server.add_tcp_listener("127.0.0.1", 0)
    server.run
    server.instance_variable_get(:@reactor).singleton_class.prepend(HandsOnAndWaits)
    Timeout.timeout(PATIENCE) { Net::HTTP.start("127.0.0.1", listener.addr[1]) { |http| yield http } }
  ensure
    server&.stop
  end
end
