# frozen_string_literal: true

module EarnestFold
  module Web
    # A page's journal sends by itself and can't be led elsewhere by an answer: it is told where to, and decides.
    class JournalAnswers
      ASKED = "HTTP_X_JOURNAL"
      GO = "x-go"
      # What a page says that has more waiting behind what it sends.
      MORE = "more"

      # @param app [#call]
      def initialize(app)
        @app = app
      end

      def call(env)
        status, headers, body = @app.call(env)
        return [status, headers, body] unless env[ASKED] && status == Once::SEE_OTHER

        body.close if body.respond_to?(:close)
        [200, headers.except("location", "content-length").merge(GO => path(headers["location"])), []]
      end

      private

      # The path alone: whatever host the page was asked under, it stays there.
      def path(location) = location.sub(%r{\Ahttps?://[^/]+}, "")
    end
  end
end
