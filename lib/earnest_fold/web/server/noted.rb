# frozen_string_literal: true

module EarnestFold
  module Web
    # What happens in the pages of signing in stands in the log of the door ({DoorLog}).
    module Noted
      EVENTS = {
        login: "signed_in", login_failure: "sign_in_failed", logout: "signed_out", account_lockout: "locked",
        change_password: "password_changed", change_login: "address_changed", close_account: "account_closed",
        otp_setup: "codes_on", otp_disable: "codes_off", otp_authentication_failure: "code_failed",
        webauthn_setup: "key_on", webauthn_remove: "key_off", webauthn_auth_failure: "key_failed",
        two_factor_authentication: "second_step", two_factor_disable: "second_off", add_recovery_codes: "spare_codes"
      }.freeze

      EVENTS.each do |what, told|
        define_method(:"after_#{what}") do
          super()
          DoorLog.note(scope.env, told, account: account && account_id)
        end
      end
    end
  end
end
