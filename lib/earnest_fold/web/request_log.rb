# frozen_string_literal: true

require "logger"
require "securerandom"

module EarnestFold
  module Web
    # One line a request, that one can read: when, what, how it ended, how long it took. What went wrong inside goes
    # below it.
    class RequestLog
      # Under this stands when it began, in seconds of a clock that only goes on.
      BEGAN = "earnest_fold.began"
      # Under this stands the request's own number: what a page says of a fault, the log says too.
      NUMBER = "earnest_fold.number"
      # What lets somebody in by itself is written down nowhere.
      KEYS = %r{\A(/(?:join|calendar|for)/).+}

      # @param app [#call]
      # @param log [Logger]
      def initialize(app, log = RequestLog.default)
        @app, @log = app, log
      end

      # Something that went wrong beside the request, which goes on.
      # @param about [String]
      # @param error [StandardError]
      def self.note(about, error)
        (@notes ||= default).error(["#{about}: #{told(error)}", *error.backtrace&.first(15)].join("\n    "))
      end

      # What the database says after its first line is of somebody's rows: nobody else reads that.
      # @return [String]
      def self.told(error) = "#{error.class}: #{error.message.lines.first.to_s.strip[0, 300]}"

      # @return [Logger] to the file that REQUEST_LOG names; nowhere without it
      def self.default
        Logger.new(
          ENV["REQUEST_LOG"] || File::NULL,
          3,
          5 * 1024 * 1024,
          formatter: ->(_, time, _, line) { "#{time.utc.strftime("%Y-%m-%d %H:%M:%S")}Z #{line}\n" }
        )
      end

      # @return [Float] seconds
      def self.now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

      # @return [String] from where a request comes
      def self.from(env) = env["REMOTE_ADDR"].to_s[/\A[\h.:]+\z/].to_s

      def call(env)
        started = env[BEGAN] = RequestLog.now
        env[NUMBER] = SecureRandom.hex(4)
        status, headers, body = @app.call(env)
        @log.info(line(env, status, started)) unless quiet?(env, status)
        trouble(env) if status >= 500
        [status, headers, body]
      end

      private

      # What a page fetches besides, and what it asks again and again while nothing changed.
      def quiet?(env, status) =
        env["PATH_INFO"].match?(%r{\A/(fonts|vendor)/|\.(css|js|svg)\z}) ||
          (status == 204 && env["REQUEST_METHOD"] == "GET")

      def line(env, status, started)
        milliseconds = ((RequestLog.now - started) * 1000).round(1)
        "#{env["REQUEST_METHOD"].ljust(4)} #{status} #{milliseconds.to_s.rjust(7)} ms  #{whose(env)}" \
          "#{env["PATH_INFO"].sub(KEYS, "\\1…")[0, 200].dump[1..-2]}"
      end

      # Whose it was, by numbers: of the workroom, and of the person in it; where nobody was, from where.
      def whose(env)
        who = env[Access::WHO]
        who ? "#{who.workroom_id}/#{who.person_id}  " : "-/#{RequestLog.from(env)}  "
      end

      def trouble(env)
        error = env["sinatra.error"] or return
        @log.error(["#{env[NUMBER]} #{RequestLog.told(error)}", *error.backtrace&.first(15)].join("\n    "))
      end
    end
  end
end
