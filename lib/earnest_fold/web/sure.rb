# frozen_string_literal: true

module EarnestFold
  module Web
    # Whether it is still they: what can't be taken back, and who may what, ask for the password once more, where it
    # wasn't given within the last quarter of an hour. Whoever signs in by a touch in the demo house has none.
    class Sure
      MINUTES = 15
      # Under this a session carries when it was given last.
      KEY = "sure"
      # As it is sent with what is to be done.
      FIELD = "your_password"

      # @param session [Hash]
      # @param auth [#call] gives Rodauth's own for the request
      # @param now [Time]
      def initialize(session, auth, now)
        @session, @auth, @now = session, auth, now
      end

      # @param given [String, nil] a password, just now
      # @return [Boolean]
      def sure?(given = nil)
        return true if lately?
        return true unless auth.their_password?

        given = given.to_s
        right = !given.empty? && auth.still_they?(given)
        @session[KEY] = @now.to_i if right
        right
      end

      private

      # A clock that was set back makes nobody sure for longer.
      def lately? = (@now.to_i - @session[KEY].to_i).between?(0, MINUTES * 60)

      def auth = @called ||= @auth.call
    end
  end
end
