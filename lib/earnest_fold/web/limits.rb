# frozen_string_literal: true

require "rack/attack"

module EarnestFold
  module Web
    # So many requests an address and a minute, fewer of those that cost much: one device that goes wild takes nobody
    # else's turn. Each process counts for itself.
    class Limits
      MINUTE = 60
      # Typing fast at Reckon is six a second; several people may share an address.
      ALL = 6_000
      # At the door: passwords, invitations and links that somebody could try one after the other.
      DOOR = %r{\A/(?:me|join|for)/}
      COSTLY = {
        "door" => [40, ->(request) { request.post? && DOOR.match?(request.path) }],
        # By a key of their own: a meter sends one for each press.
        "handed in" => [120, ->(request) { Door::HANDED_IN.include?(request.path) }],
        "import" => [20, ->(request) { request.post? && request.path == Paths.import }],
        "photographs" => [60, ->(request) { request.post? && request.path.end_with?("/photographs") }],
        "papers" => [120, ->(request) { request.path.end_with?(".pdf", ".tar") }]
      }.freeze
      TOO_OFTEN = 429

      # What was counted, until its minute is over.
      class Counts
        MOST = 10_000

        def initialize
          @counts, @lock = {}, Mutex.new
        end

        def increment(key, amount, expires_in:)
          @lock.synchronize do
            forget
            count, = @counts[key]
            @counts[key] = [(count || 0) + amount, now + expires_in]
            @counts[key].first
          end
        end

        def read(key) = @lock.synchronize { @counts[key]&.first }

        def write(key, value, expires_in:) = @lock.synchronize { @counts[key] = [value, now + expires_in] }

        def delete(key) = @lock.synchronize { @counts.delete(key) }

        private

        def forget
          return if @counts.size < MOST

          @counts.delete_if { |_, (_, ends)| ends < now }
          @counts.shift while @counts.size >= MOST
        end

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      end

      # @param app [#call]
      # @param counts [Counts]
      # @param all [Integer] requests of any kind
      def initialize(app, counts: Counts.new, all: ALL)
        @app = app
        Rack::Attack.cache.store = counts
        @throttles = [
          throttle("all", all) { |request| request.ip },
          *COSTLY.map { |name, (most, costly)| throttle(name, most) { |request| costly.call(request) && request.ip } }
        ]
      end

      # The refusal itself is told by the application, in its own words.
      def call(env)
        request = Rack::Attack::Request.new(env)
        return @app.call(env) if @throttles.none? { |one| one.matched_by?(request) }

        status, headers, body = @app.call(env.merge(Door::REFUSED => TOO_OFTEN))
        [status, headers.merge("retry-after" => MINUTE.to_s), body]
      end

      private

      def throttle(name, most, &whose) = Rack::Attack::Throttle.new(name, {limit: most, period: MINUTE}, &whose)
    end
  end
end
