# frozen_string_literal: true

module EarnestFold
  module Web
    # Every error of the application's own with the status that answers it, once. Their words stand under `failures`,
    # by status. What isn't here is a fault of the program's: a 500 with a number that the log has too.
    module Failures
      STATUSES = {
        Store::Missing => 404,
        Store::Stale => 409,
        Store::Taken => 409,
        Store::OutOfTurn => 422,
        Store::Full => 422,
        Store::Busy => 503,
        Store::Unreachable => 503,
        Store::NoRoom => 507,
        Reckoning::Invalid => 422,
        Documents::Photograph::NotOne => 422,
        Rack::Multipart::MultipartPartLimitError => 413,
        Rack::QueryParser::ParameterTypeError => 400,
        Rack::QueryParser::InvalidParameterError => 400,
        Rack::Multipart::EmptyContentError => 400
      }.freeze
      # What the application answers by itself.
      PLAIN = [400, 401, 403, 404, 413, 429].freeze
      OURS = 500
      # Under this stands in what words it is told, where its status alone doesn't say it.
      TOLD = "earnest_fold.told"

      def self.registered(app)
        STATUSES.each { |error, status| app.error(error) { failure(status) } }
        PLAIN.each { |status| app.error(status) { told? ? body : failure(status, request.env.fetch(TOLD, status)) } }
        app.error { failure(OURS) }
        app.helpers(Telling)
      end

      # How it is told.
      module Telling
        # @return [Boolean] whether whoever hands something in by a key was told in their own form already
        def told? = response.content_type.to_s.start_with?("application/json")

        # @param status [Integer]
        # @return [String] the page
        # @param words [Symbol, Integer] under which it is told
        def failure(status, words = status)
          request.env[TOLD] = words
          page(:error, Screens::Failure.new(status, words, number: request.env[RequestLog::NUMBER]), status: status)
        end
      end
    end
  end
end
