# frozen_string_literal: true

require "digest"

module EarnestFold
  module Web
    # Around everything that is sent with a key: it is done once, however often it arrives, and whoever asks again is
    # led to where the first one led. Nothing is kept of what was refused: the same key may come again with it put
    # right.
    class Once
      KEY = "once"
      WELL_MADE = /\A[\w-]{8,64}\z/
      SEE_OTHER = 303
      # Under this stands what went wrong around the application, for it to tell in its own words.
      FAILED = "earnest_fold.failed"
      # What changes from one sending of the same thing to the next.
      PASSING = %w[authenticity_token].freeze

      # @param app [#call]
      def initialize(app)
        @app = app
      end

      def call(env)
        sent = read(env)
        key = sent && sent[KEY]
        who = env[Access::WHO]
        return @app.call(env) unless who && key.is_a?(String) && WELL_MADE.match?(key)

        answer = nil
        led =
          Store::Workroom
            .new(who.workroom_id)
            .once
            .at_first(key, print(env, sent), likely: env["PATH_INFO"]) { where_it_led(answer = @app.call(env), env) }
        led ? again(led) : answer
      rescue Store::Error => error
        (answer && answer.first >= 400) ? answer : @app.call(env.merge(FAILED => error))
      end

      private

      # @return [Hash, nil] what was sent, where it is a form that can be read ({Door})
      def read(env)
        request = Rack::Request.new(env)
        request.POST if request.post? && !env[Door::REFUSED]
      end

      # A file counts by its name and size.
      def print(env, sent)
        plain =
          sent
            .except(*PASSING)
            .map do |name, value|
              [name, (value.is_a?(Hash) && value[:tempfile]) ? [value[:filename], value[:tempfile].size] : value]
            end
        Digest::SHA256.hexdigest(Marshal.dump([env["PATH_INFO"], plain]))
      end

      def where_it_led((status, headers, _), env)
        return if status >= 400

        headers["location"] || headers["content-location"] || env["PATH_INFO"]
      end

      def again(led) = [SEE_OTHER, {"location" => led, "content-type" => "text/html"}, []]
    end
  end
end
