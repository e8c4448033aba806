# frozen_string_literal: true

module EarnestFold
  module Web
    # What is our own in the pages of signing in ({SignInPages}), over Rodauth's: how it looks, what it says, and that
    # nobody learns from an answer or its time whether there is an account.
    module Ours
      SAID = Access::SAID
      DEVICE = 120
      NOBODYS = "$argon2id$v=19$m=65536,t=2,p=1$" \
        "c29tZXNhbHRzb21lc2FsdA$wz1qUd3DyxXzNNc8CNT5xe2hXLLh0V6o9ywgHbV8M2Q"

      def view(page, _title)
        touchable = (page == "login" && Demo.open?(scope.env)) ? Demo.people : []
        said = @said || session.delete(SAID)
        screen = Screens::SignIn.new(page, self, said: said, refused: !@said.nil?, touchable: touchable)
        request.halt(SignInShown.page(scope.env, :sign_in, screen, response.status || 200))
      end

      # Whoever it is, the same is reckoned.
      def account_from_login(login)
        found = super
        ::Argon2::Password.verify_password(param(password_param), NOBODYS) unless found || ENV["RACK_ENV"] == "test"
        found
      end

      def no_matching_login_message = Words.say("sign_in.no_match")

      def invalid_password_message =
        logged_in? ? Words.say("sign_in.wrong_password") : Words.say("sign_in.no_match")

      def translate(key, default) =
        Words.say?("sign_in.says.#{key}") ? Words.say("sign_in.says.#{key}") : default

      def set_error_flash(message) = @said = message
      alias_method :set_notice_now_flash, :set_error_flash

      def set_redirect_error_flash(message) = session[SAID] = message
      alias_method :set_notice_flash, :set_redirect_error_flash

      # Nothing is sent by mail: a while that is over opens it again.
      def show_lockout_page
        response.status = 403
        @said = Words.say("sign_in.locked")
        login_view
      end

      def after_login
        super
        session[Sure::KEY] = Time.now.to_i
        told = request.user_agent.to_s.scrub("").gsub(/[[:cntrl:]]/, "")[0, DEVICE]
        Store::Accounts.name_device(session_value, compute_hmac(session[session_id_session_key]), told)
      end

      def after_change_password
        super
        remove_all_active_sessions_except_current
      end

      def after_change_login
        super
        remove_all_active_sessions_except_current
      end

      # @return [Boolean] whether whoever is signed in has a password: by a touch in the demo house nobody has
      def their_password?
        account_from_session if logged_in?
        !account.nil? && has_password?
      end

      # Guessed too often, it is locked as signing in is.
      # @return [Boolean] whether it is their password
      def still_they?(password)
        return false if locked_out?
        return clear_invalid_login_attempts || true if password_match?(password)

        DoorLog.note(scope.env, "not_they")
        invalid_login_attempted
        false
      end

      # One touch on a name, in the demo house, for whoever sits at this machine.
      def touched(person)
        account = Demo.open?(scope.env) && Demo.account(person)
        request.halt(SignInShown.failure(scope.env, 403)) unless account
        account_from_id(account)
        login("touch")
      end

      # A password's faults, or nothing.
      # @return [String, nil]
      def fault_of(password) =
        password_meets_requirements?(password) ? nil : password_does_not_meet_requirements_message

      # @return [String, nil]
      def fault_of_login(login) = login_meets_requirements?(login) ? nil : login_does_not_meet_requirements_message

      # Signs an account in that has just set its password.
      def let_in(account, password)
        account_from_id(account)
        set_password(password)
        remove_all_active_sessions
        login_session("password")
        DoorLog.note(scope.env, "joined", account: account)
        after_login
      end
    end
  end
end
