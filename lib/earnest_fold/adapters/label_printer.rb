# frozen_string_literal: true

require "socket"
require "timeout"
require "uri"

module EarnestFold
  module Adapters
    # The label printer: a PDF, as it is, to a port that prints what comes (9100 where nothing is said).
    #
    #   Adapters::LabelPrinter.new("tcp://127.0.0.1:9100").place # => "127.0.0.1:9100"
    class LabelPrinter
      extend Configured

      NAME, ADDRESS = "printer", "PRINTER_URL"
      # Nobody answers, or not now: the same again later may go.
      Unreached = Class.new(StandardError)
      PORT = 9100
      # Seconds: to be answered, and until all of it is taken.
      OPENS, TAKES = 5, 20

      # @param address [String] tcp://host:port
      # @raise [ArgumentError] where it can't be read
      def initialize(address)
        @uri = URI.parse(address)
        raise ArgumentError, "PRINTER_URL is tcp://host:port" unless @uri.scheme == "tcp" && @uri.host

        @stand_in = URI.decode_www_form(@uri.query.to_s).to_h["stand_in"]
      rescue URI::InvalidURIError
        raise ArgumentError, "PRINTER_URL can't be read"
      end

      # @return [String, nil] the folder in which the stand-in lays what it prints; nil with a real printer
      attr_reader :stand_in

      # @return [String] where it is
      def place = "#{@uri.host}:#{@uri.port || PORT}"

      # @param bytes [String] PDF
      # @raise [Unreached]
      def deliver(bytes)
        talking do |socket|
          socket.write(bytes)
          socket.close_write
          # One that is out of paper hangs up before it has all of it.
          socket.read
        end
      end

      # Whether somebody answers there.
      # @raise [Unreached]
      def answers = talking(&:itself)

      private

      def talking(&block)
        Timeout.timeout(TAKES) { Socket.tcp(@uri.host, @uri.port || PORT, connect_timeout: OPENS, &block) }
      rescue SystemCallError, SocketError, IOError, Timeout::Error => away
        raise Unreached, "#{away.class}: #{away.message.lines.first.to_s.strip}"
      end
    end
  end
end
