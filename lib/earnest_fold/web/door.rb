# frozen_string_literal: true

require "stringio"

module EarnestFold
  module Web
    # At the door: what is too large or can't be read is known before anybody reads on, and what goes out says that it
    # is nobody else's. The refusal itself is told by the application, in its own words.
    class Door
      # Under this stands the status of what is refused.
      REFUSED = "earnest_fold.refused"
      TOO_MUCH, UNREADABLE = 413, 400
      # What is handed in by a key is no form, whatever its sender calls it.
      HANDED_IN = [Paths.readings, Paths.bounced].freeze
      AS_IT_IS = "application/octet-stream"
      # What a page may do, where it may be shown, and that nobody keeps it.
      HEADERS = {
        "cache-control" => "no-store",
        "cross-origin-opener-policy" => "same-origin",
        "cross-origin-resource-policy" => "same-origin",
        "permissions-policy" => "camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(), midi=()"
      }.freeze

      # @param values [Object] what was sent
      # @return [Boolean] whether every text of it is one: well-formed UTF-8 without a null
      def self.readable?(values)
        case values
        when String then values.valid_encoding? && !values.include?("\u0000")
        when Hash then values.all? { |name, inner| readable?(name.to_s) && readable?(inner) }
        when Array then values.all? { |inner| readable?(inner) }
        else true
        end
      end

      # @param app [#call]
      def initialize(app)
        @app = app
      end

      def call(env)
        env = env.merge("CONTENT_TYPE" => AS_IT_IS) if HANDED_IN.include?(env["PATH_INFO"])
        status = env[REFUSED] || refused(env)
        answered, headers, body = @app.call(status ? emptied(env, status) : env)
        [answered, HEADERS.merge(headers), body]
      end

      private

      # @return [Integer, nil]
      def refused(env)
        request = Rack::Request.new(env)
        return TOO_MUCH if request.content_length.to_i > Sizes.most(request.path_info)

        request.GET
        request.POST if request.post?
        nil
      rescue Rack::Multipart::MultipartPartLimitError, Rack::Multipart::MultipartTotalPartLimitError
        TOO_MUCH
      rescue Rack::BadRequest, EOFError, ArgumentError
        UNREADABLE
      end

      # Nothing of it is looked at again.
      def emptied(env, status) = env
        .reject { |name, _| name.start_with?("rack.request.") }
        .merge(REFUSED => status, "rack.input" => StringIO.new, "CONTENT_LENGTH" => "0", "QUERY_STRING" => "",
          "CONTENT_TYPE" => "application/x-www-form-urlencoded")
    end
  end
end
