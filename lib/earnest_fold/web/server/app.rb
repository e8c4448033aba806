# frozen_string_literal: true

require "sinatra/base"
require "uri"
require "rack/protection"
require "rack/session"

module EarnestFold
  module Web
    # The application: its settings, its safety, and its routes, which stand in routes/ by their prefix.
    class App < Sinatra::Base
      CSP =
        {
          "default-src" => "'none'",
          "script-src" => "'self'",
          "style-src" => "'self'",
          "img-src" => "'self' data:",
          "font-src" => "'self'",
          "connect-src" => "'self'",
          "form-action" => "'self'",
          "base-uri" => "'none'",
          "frame-ancestors" => "'none'"
        }.map { |source, allowed| "#{source} #{allowed}" }.join("; ").freeze
      HOSTS = %w[127.0.0.1 localhost].freeze

      set :root, EarnestFold.root
      set :static, false
      # Where it is reached from outside, through a proxy that is trusted to say for whom.
      PUBLIC = ENV["PUBLIC_URL"].to_s.empty? ? nil : URI(ENV["PUBLIC_URL"])
      PROXIES = Networks.new(ENV.fetch("TRUSTED_PROXIES", ""))
      Rack::Request.ip_filter = PROXIES.method(:include?)

      # Whether other devices in the house reach it, in secret ({Authority}).
      set :lan, ENV["EARNEST_FOLD_LAN"] == "open"
      set :secret_line, settings.lan || PUBLIC&.scheme == "https"
      set :sessions,
        key: settings.secret_line ? "__Host-earnest_fold" : "earnest_fold",
        secure: settings.secret_line,
        path: "/",
        # As long as a device that nobody uses stays signed in.
        expire_after: Store::Accounts::IDLE * 86_400,
        secret: ENV.fetch("SESSION_SECRET") { SecureRandom.hex(64) },
        same_site: :lax,
        httponly: true
      # Every post has to carry its token (below): where it came from isn't asked beside that.
      set :protection, except: [:remote_token]
      set :host_authorization,
        permitted_hosts: HOSTS + ENV.fetch("ALLOWED_HOSTS", "").split(",") + [*PUBLIC&.host]
      set :show_exceptions, false
      set :raise_errors, false
      set :dump_errors, false
      set :logging, false
      set :strict_paths, false
      set :disk_room, DiskRoom.new
      # Whether the demo house is open to whoever sits here ({Demo}).
      set :demo, ENV["EARNEST_FOLD_DEMO"] == "open"
      set :limited, ENV["RACK_ENV"] != "test"
      # By which a mail server hands in letters that came back.
      set :bounce_key, ENV["BOUNCE_KEY"]
      set :patience, Rational(ENV.fetch("PLAN_PATIENCE", "0.5"))

      Work::Faults.listen { |about, error| RequestLog.note(about, error) }

      # What is worth compressing: fonts, photographs and paper are dense already.
      COMPRESSED = %w[text/html text/css text/javascript application/javascript application/json image/svg+xml text/csv
        text/calendar].freeze

      # Before the session is looked at.
      def self.setup_default_middleware(builder)
        builder.use Metrics
        builder.use Rack::Deflater, include: COMPRESSED, sync: false
        builder.use Files, File.join(EarnestFold.root, "public")
        builder.use Compressed, COMPRESSED
        builder.use Limits if settings.limited
        builder.use Door
        super
      end

      use RequestLog
      use JournalAnswers
      use SignIn, secret: settings.sessions.fetch(:secret), demo: -> { settings.demo }
      use Once

      helpers Helpers, Asking

      before do
        headers "Content-Security-Policy" => CSP,
          "X-Content-Type-Options" => "nosniff",
          "Referrer-Policy" => "same-origin"
        raise env[Once::FAILED] if env[Once::FAILED]

        halt failure(env[Door::REFUSED]) if env[Door::REFUSED]
        halt failure(400) unless Door.readable?(params)
        # Asked here and not in a middleware, so that a stale token gets a page of ours and not a dropped session.
        halt failure(403) unless request.safe? || by_key? || Tokens.accept?(env)
      end

      # Which pages of a work a route is for: those at which fields are filled in, or any.
      set(:filled) { |_| condition { Work::Stations.filled.include?(params["filled"]) } }
      set(:known_station) { |_| condition { Work::Stations.names.include?(params["station"]) } }

      HANDLERS = [
        # First, as most of what is asked and sent is a station's.
        Routes::Stations,
        Routes::Outside,
        Routes::SigningIn,
        Routes::People,
        Routes::ForCustomer,
        Routes::Customers,
        Routes::Elsewhere,
        Routes::Today,
        Routes::Reckon,
        Routes::House,
        Routes::Jobs,
        Routes::Windows,
        Routes::Sheets,
        Routes::Cutting,
        Routes::Buying,
        Routes::Table,
        Routes::Bench,
        Routes::CameIn,
        Routes::Account,
        Routes::Letters,
        Routes::OutsideHouse,
        Routes::Diary,
        Routes::Written,
        Routes::Errands,
        Routes::Metering,
        Routes::HandedIn,
        Routes::Logbook,
        Routes::Shelf,
        Routes::Cloths,
        Routes::Tapes,
        # Last: any other page of a work is one of its stations.
        Routes::OtherStations
      ].freeze
      HANDLERS.each { |handler| handler.mount(self) }

      register Failures
    end
  end
end
