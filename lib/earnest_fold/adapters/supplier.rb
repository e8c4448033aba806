# frozen_string_literal: true

require "net/http"
require "openssl"
require "timeout"
require "uri"

module EarnestFold
  module Adapters
    # A supplier of cloth, by open JSON over HTTP (schema/supplier.v1.json): what there is, what is laid by, ordered,
    # confirmed, delivered and credited. What it answers is given as text: whoever asked reads it.
    #
    #   Adapters::Supplier.new("http://127.0.0.1:4200/").place # => "127.0.0.1:4200"
    class Supplier
      extend Configured

      NAME, ADDRESS = "supplier", "SUPPLIER_URL"
      # Nobody answers, or not now: the same again later may go.
      Unreached = Class.new(StandardError)
      # It was answered, and not taken: the same again won't be.
      Refused = Class.new(StandardError)
      # Seconds: to be answered at all, for each part of an answer, and for all of it; bytes of an answer.
      OPENS, READS, TAKES, LARGEST = 5, 10, 20, 1024 * 1024
      HERE = %w[127.0.0.1 localhost ::1].freeze
      AWAY = [SystemCallError, SocketError, IOError, Timeout::Error, OpenSSL::SSL::SSLError, Net::HTTPBadResponse,
        Net::ProtocolError].freeze

      # @param address [String] https:// (http:// on this machine), with ?key= where the supplier gave one
      # @raise [ArgumentError] where it can't be read
      def initialize(address)
        @uri = URI.parse(address)
        raise ArgumentError, "SUPPLIER_URL begins with https://" unless @uri.is_a?(URI::HTTP) && @uri.host
        raise ArgumentError, "SUPPLIER_URL is https:// but on this machine" unless in_secret?

        asked = URI.decode_www_form(@uri.query.to_s).to_h
        @key, @stand_in = asked.values_at("key", "stand_in")
      rescue URI::InvalidURIError
        raise ArgumentError, "SUPPLIER_URL can't be read"
      end

      # @return [String, nil] set with the stand-in
      attr_reader :stand_in

      # @return [String] where it is, without the key
      def place = "#{@uri.host}:#{@uri.port}"

      # @return [String] JSON: every cloth there is
      # @raise [Unreached, Refused]
      def catalogue = ask(Net::HTTP::Get, "catalogue")

      # @return [String] JSON: the pieces of one cloth
      # @raise [Unreached, Refused]
      def stock(code) = ask(Net::HTTP::Get, "stock", code)

      # Lays cloth of one batch by.
      # @param asked [String] JSON: order, code, batch, lengths
      # @return [String] JSON
      # @raise [Unreached, Refused]
      def reserve(asked) = ask(Net::HTTP::Post, "reservations", body: asked)

      # @param asked [String] JSON: order, for, code, batch, lengths, reservation; of one number there is one order,
      #   however often it is sent
      # @return [String] JSON: how it stands
      # @raise [Unreached, Refused]
      def order(asked) = ask(Net::HTTP::Post, "orders", body: asked)

      # @param number [String]
      # @return [String] JSON: how it stands
      # @raise [Unreached, Refused]
      def standing(number) = ask(Net::HTTP::Get, "orders", number)

      # @param asked [String] JSON: order, piece, length, why
      # @return [String] JSON
      # @raise [Unreached, Refused]
      def credit(asked) = ask(Net::HTTP::Post, "credits", body: asked)

      # Whether somebody answers there.
      # @raise [Unreached, Refused]
      def answers = catalogue

      private

      # Nobody on the way reads the key.
      def in_secret? = @uri.scheme == "https" || HERE.include?(@uri.host)

      def ask(kind, *path, body: nil)
        request = kind.new(address(path))
        request["Accept"] = "application/json"
        request["Authorization"] = "Bearer #{@key}" if @key
        request["Content-Type"], request.body = "application/json", body if body
        Timeout.timeout(TAKES) { talking(request) }
      rescue *AWAY => away
        raise Unreached, "#{away.class}: #{away.message.lines.first.to_s.strip}"
      end

      def address(path)
        named = path.map { |part| URI.encode_www_form_component(part) }
        [@uri.path.to_s.chomp("/"), *named].join("/")
      end

      def talking(request)
        http = Net::HTTP.new(@uri.host, @uri.port)
        http.use_ssl, http.open_timeout, http.read_timeout = @uri.scheme == "https", OPENS, READS
        # The same again is sent by the queue, which counts.
        http.max_retries = 0
        http.start { |open| open.request(request) { |answer| return taken(answer) } }
      end

      def taken(answer)
        text = bounded(answer)
        case answer
        when Net::HTTPSuccess then text
        when Net::HTTPTooManyRequests, Net::HTTPServerError, Net::HTTPRequestTimeout
          raise Unreached, "answered #{answer.code}"
        else raise Refused, "answered #{answer.code}"
        end
      end

      def bounded(answer)
        text = +""
        answer.read_body do |part|
          text << part
          raise Refused, "answered more than #{LARGEST} bytes" if text.bytesize > LARGEST
        end
        text.force_encoding(Encoding::UTF_8)
      end
    end
  end
end
