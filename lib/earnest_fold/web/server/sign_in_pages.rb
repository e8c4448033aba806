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
      NAMES = {
        login: "sign-in", logout: "sign-out", change_password: "password", change_login: "address",
        close_account: "close", two_factor_manage: "second", two_factor_auth: "second-step",
        two_factor_disable: "second-off", otp_setup: "codes", otp_auth: "code", otp_disable: "codes-off",
        recovery_codes: "spare-codes", recovery_auth: "spare-code", webauthn_setup: "key-new",
        webauthn_auth: "key", webauthn_remove: "key-off"
      }.freeze
      TOKENS = App::TOKENS

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
            SignInPages.refuse(env, r) unless r.get? || TOKENS.accepts?(env)
            r.on(Paths.me.delete_prefix("/")) do
              r.is { r.redirect(Paths.you) }
              r.post("demo") { rodauth.touched(r.params["person"]) }
              r.rodauth
              SignInPages.shown(env, Screens::Failure.new(404), :error, 404, r)
            end
          end
        end
      end

      # @api private
      def self.set_up(auth)
        auth.instance_exec do
          prefix Paths.me
          db { Store.db }
          hmac_secret { SignIn.secret }
          require_bcrypt? false
          require_mail? false
          # The hosts that are answered at all are known ({App}).
          domain { scope.request.host }
          use_database_authentication_functions? false
          accounts_table :accounts
          login_column :login
          account_status_column :status_id
          skip_status_checks? true
          NAMES.each { |page, name| public_send("#{page}_route", name) }
          NO_ROUTES.each { |page| public_send("#{page}_route", nil) }
          require_login_confirmation? false
          require_email_address_logins? true
          normalize_login { |login| login.strip.downcase }
          password_minimum_length SHORTEST
          password_maximum_bytes LONGEST_BYTES
          max_invalid_logins MOST_FAILURES
          account_lockouts_deadline_interval(minutes: LOCKED_MINUTES)
          set_deadline_values? true
          session_inactivity_deadline nil
          session_lifetime_deadline nil
          otp_issuer "Earnest Fold"
          webauthn_rp_name "Earnest Fold"
          # To the page that was asked for.
          login_response { redirect(session.delete(Access::ASKED) || Paths.home) }
          two_factor_auth_redirect { session.delete(Access::ASKED) || Paths.home }
          logout_redirect { Paths.sign_in }
          already_logged_in { redirect(Paths.you) if %w[login].include?(current_route.to_s) }
          close_account_redirect { Paths.sign_in }
          %i[change_password change_login otp_setup otp_disable webauthn_setup webauthn_remove two_factor_disable]
            .each { |page| public_send("#{page}_redirect") { Paths.you } }
          auth_class_eval { include Ours }
        end
      end

      # @api private
      def self.refuse(env, request) = shown(env, Screens::Failure.new(403), :error, 403, request)

      # What went wrong, as a whole answer.
      # @api private
      def self.told(env, screen, status) = page_of(env, screen, :error, status)

      # @api private
      def self.shown(env, screen, view, status, request) = request.halt(page_of(env, screen, view, status))

      # The page as the application shows it, with all that it says of itself.
      # @api private
      def self.page_of(env, screen, view, status)
        inner = env.reject { |name, _| name.start_with?("rack.request.") }.merge(
          "REQUEST_METHOD" => "GET", "PATH_INFO" => Paths.sign_in_shown, "QUERY_STRING" => "",
          Routes::SigningIn::SHOWN => [view, screen]
        )
        _, headers, body = env.fetch(SignIn::INNER).call(inner)
        [status, headers, body]
      end
    end
  end
end
