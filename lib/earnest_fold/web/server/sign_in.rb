# frozen_string_literal: true

module EarnestFold
  module Web
    # At every request: who it is, by the session. Under {Paths.me} the pages of signing in themselves answer
    # ({SignInPages}); everything else goes on to the application, which asks who may what ({Access}).
    class SignIn
      # @param app [#call]
      # @param secret [String] what sessions, keys and codes are printed with
      # @param demo [#call] says whether the demo house is open
      def initialize(app, secret:, demo:)
        @app, @secret, @demo = app, secret, demo
      end

      def call(env)
        env[Access::WHO] ||= who(env)
        env[Access::SECRET], env[Access::DEMO] = @secret, @demo.call
        env[Access::AUTH] = -> { SignInPages.rack.new(env).rodauth }
        return @app.call(env) if env[Door::REFUSED] || !ours?(env["PATH_INFO"])

        readable = Door.readable?(Rack::Request.new(env).params)
        readable ? answered(env) : @app.call(env.merge(Door::REFUSED => Door::UNREADABLE))
      end

      private

      # A fault of ours is told as every other is.
      def answered(env)
        SignInPages.rack.call(env.merge(Access::INNER => @app))
      rescue => error
        env["sinatra.error"] = error
        status = Failures::STATUSES.find { |kind, _| error.is_a?(kind) }&.last || Failures::OURS
        SignInShown.failure(env.merge(Access::INNER => @app), status)
      end

      def ours?(path) = path == Paths.me || path.start_with?("#{Paths.me}/")

      # @return [Store::Accounts::Who, nil]
      def who(env)
        session = env["rack.session"] or return
        account, key = session["account_id"], session["active_session_id"]
        return unless account && key

        found = Store::Accounts.who(account, SessionKey.print_of(key, @secret), session["workroom"].to_i)
        return over(session) unless found

        # With a second factor the first one alone opens nothing.
        found if !found.second || session["authenticated_by"].to_a.size > 1
      end

      # A session that was ended elsewhere is none here either.
      def over(session)
        %w[account_id active_session_id authenticated_by].each { |name| session.delete(name) }
        nil
      end
    end
  end
end
