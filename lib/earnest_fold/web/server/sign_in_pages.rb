# frozen_string_literal: true

require "roda"
require "rodauth"

module EarnestFold
  module Web
    # The pages of signing in, by Rodauth: what is taken, checked and kept there is its; how it looks and what is said
    # is ours ({Screens::SignIn}), shown by the application as every other page is.
    module SignInPages
      FEATURES = %i[
        login logout active_sessions lockout change_password change_login close_account argon2 disallow_common_passwords
        otp recovery_codes webauthn
      ].freeze
      # Short ones are guessed; long ones would be work for nothing.
      SHORTEST, LONGEST_BYTES = 12, 200
      MOST_FAILURES, LOCKED_MINUTES = 10, 15
      # What is asked for by mail, which there is none of: whoever may everything makes a link instead.
      NO_ROUTES = %i[unlock_account_request unlock_account].freeze
      TO_YOU = %i[change_password change_login otp_setup otp_disable webauthn_setup webauthn_remove
        two_factor_disable].freeze
      NAMES = {
        login: "sign-in", logout: "sign-out", change_password: "password", change_login: "address",
        close_account: "close", two_factor_manage: "second", two_factor_auth: "second-step",
        two_factor_disable: "second-off", otp_setup: "codes", otp_auth: "code", otp_disable: "codes-off",
        recovery_codes: "spare-codes", recovery_auth: "spare-code", webauthn_setup: "key-new",
        webauthn_auth: "key", webauthn_remove: "key-off"
      }.freeze

      # @return [Class] the rack application; made when it is asked for first: by then there is a database
      def self.rack = @rack ||= built

      # @api private
      def self.built
        Class.new(Roda) do
          plugin :rodauth, csrf: false, flash: false, render: false do
            enable(*FEATURES)
            SignInPages.set_up(self)
          end

          route do |r|
            r.halt(SignInShown.failure(env, 403)) unless r.get? || Tokens.accept?(env)
            r.on(Paths.me.delete_prefix("/")) do
              r.is { r.redirect(Paths.you) }
              r.post("demo") { rodauth.touched(r.params["person"]) }
              r.rodauth
              r.halt(SignInShown.failure(env, 404))
            end
          end
        end
      end

      # @api private
      def self.set_up(auth)
        [ACCOUNTS, PAGES, WAYS].each { |part| auth.instance_exec(&part) }
      end

      # What is kept, where, and how it is printed.
      ACCOUNTS = lambda do |*|
        db { Store.db }
        hmac_secret { scope.env.fetch(Access::SECRET) }
        use_database_authentication_functions? false
        accounts_table :accounts
        login_column :login
        account_status_column :status_id
        skip_status_checks? true
        require_bcrypt? false
        require_mail? false
        normalize_login { |login| login.strip.downcase }
        require_login_confirmation? false
        require_email_address_logins? true
        password_minimum_length SHORTEST
        password_maximum_bytes LONGEST_BYTES
        max_invalid_logins MOST_FAILURES
        account_lockouts_deadline_interval(minutes: LOCKED_MINUTES)
        set_deadline_values? true
        # {Store::Accounts} knows when a session is over.
        session_inactivity_deadline nil
        session_lifetime_deadline nil
      end

      # Where they stand.
      PAGES = lambda do |*|
        prefix Paths.me
        # The hosts that are answered at all are known ({App}).
        domain { scope.request.host }
        NAMES.each { |page, name| public_send("#{page}_route", name) }
        NO_ROUTES.each { |page| public_send("#{page}_route", nil) }
        otp_issuer "Earnest Fold"
        webauthn_rp_name "Earnest Fold"
        auth_class_eval { include Noted, Ours }
      end

      # Where they lead.
      WAYS = lambda do |*|
        # To the page that was asked for.
        login_response { redirect(session.delete(Access::ASKED) || Paths.home) }
        two_factor_auth_redirect { session.delete(Access::ASKED) || Paths.home }
        logout_redirect { Paths.sign_in }
        close_account_redirect { Paths.sign_in }
        already_logged_in { redirect(Paths.you) if current_route.to_s == "login" }
        TO_YOU.each { |page| public_send("#{page}_redirect") { Paths.you } }
      end
      private_constant :ACCOUNTS, :PAGES, :WAYS
    end
  end
end
