# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Which error becomes which page.
      module Failures
        STATUSES = {Store::Missing => 404, Store::Unreachable => 503, Rack::Multipart::MultipartPartLimitError => 413}.freeze

        def self.registered(app)
          STATUSES.each { |error, status| app.error(error) { page(:error, Screens::Failure.new(status), status: status) } }
          app.error(404) { page(:error, Screens::Failure.new(404), status: 404) }
          app.error(403) { page(:error, Screens::Failure.new(403), status: 403) }
          app.error(400) { page(:error, Screens::Failure.new(400), status: 400) }
          app.error { page(:error, Screens::Failure.new(500), status: 500) }
        end
      end
    end
  end
end
