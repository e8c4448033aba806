# frozen_string_literal: true

require "socket"

# A port of this machine for something that will listen there in a moment. It is none of those that the system hands to
# whoever calls out (from 32,768 on): between finding one of them free and listening there, any call could be given it.
module FreePort
  RANGE = 20_000..32_000

  # @return [Integer]
  def self.find
    port = rand(RANGE)
    TCPServer.open("127.0.0.1", port) { port }
  rescue Errno::EADDRINUSE
    retry
  end
end
