# frozen_string_literal: true

module EarnestFold
  module Web
    # The styles, scripts, fonts and the icon, before any session is looked at: no cookie goes with them. A file that
    # is asked for by its fingerprint never changes, so a browser may keep it.
    class Files
      OURS = %r{\A/((fonts|vendor)/[\w-]+(\.[\w-]+)+|app\.css|(app|half|told|journal|keys)\.js|icon\.svg)\z}
      FOR_GOOD = "public, max-age=31536000, immutable"
      FOR_AN_HOUR = "public, max-age=3600"

      # @param app [#call]
      # @param root [String] the folder they lie in
      def initialize(app, root)
        @app, @files = app, Rack::Files.new(root)
      end

      def call(env)
        return @app.call(env) unless OURS.match?(env["PATH_INFO"]) && %w[GET HEAD].include?(env["REQUEST_METHOD"])

        status, headers, body = @files.call(env)
        headers["cache-control"] = env["QUERY_STRING"].to_s.empty? ? FOR_AN_HOUR : FOR_GOOD if status == 200
        headers["x-content-type-options"] = "nosniff"
        [status, headers, body]
      end
    end
  end
end
