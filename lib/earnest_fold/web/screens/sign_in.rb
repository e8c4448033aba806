# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # A page of signing in: its fields, what stands beside them, and where it leads.
      class SignIn
        # A field: what it is sent as, its words' key, its type and what a browser may fill in.
        Field = Reckoning::Value.define(:name, :label, :type, :fills)
        LOGIN = Field.new(name: "login", label: "login", type: "email", fills: "username")
        PASSWORD = Field.new(name: "password", label: "password", type: "password", fills: "current-password")
        NEW = Field.new(name: "new-password", label: "new_password", type: "password", fills: "new-password")
        AGAIN = Field.new(name: "password-confirm", label: "again", type: "password", fills: "new-password")
        CODE = Field.new(name: "otp", label: "code", type: "text", fills: "one-time-code")
        SPARE = Field.new(name: "recovery-code", label: "spare_code", type: "text", fills: "off")
        FIELDS = {
          "login" => [LOGIN, PASSWORD],
          "change-password" => [PASSWORD, NEW, AGAIN],
          "change-login" => [LOGIN, PASSWORD],
          "close-account" => [PASSWORD],
          "otp-setup" => [PASSWORD, CODE],
          "otp-auth" => [CODE],
          "otp-disable" => [PASSWORD],
          "recovery-auth" => [SPARE],
          "recovery-codes" => [PASSWORD],
          "webauthn-setup" => [PASSWORD],
          "webauthn-remove" => [PASSWORD],
          "two-factor-disable" => [PASSWORD]
        }.freeze
        # How large a square of the code is drawn.
        SQUARE = 5

        # @return [Array<Store::People::Person>] whom one touch lets in
        attr_reader :touchable
        # @return [String] Rodauth's name of the page
        attr_reader :name
        # @return [String, nil] what is said above it
        attr_reader :said

        # @param name [String]
        # @param auth [Object] Rodauth's, of this request
        # @param said [String, nil]
        # @param refused [Boolean] whether that is why it wasn't done
        # @param touchable [Array<Store::People::Person>] whom one touch lets in
        def initialize(name, auth, said: nil, refused: false, touchable: [])
          @name, @auth, @said, @refused, @touchable = name, auth, said, refused, touchable
        end

        def refused? = @refused

        def page_title = Words.say("sign_in.pages.#{key}.title")

        # @return [String, nil]
        def lead = Words.say?("sign_in.pages.#{key}.lead") ? Words.say("sign_in.pages.#{key}.lead") : nil

        def act = Words.say("sign_in.pages.#{key}.act")

        # @return [Array<Field>]
        def fields = FIELDS.fetch(name, [])

        # @return [String]
        def typed(field) = (field.type == "password") ? "" : @auth.param_or_nil(field.name).to_s

        # At which of its fields signing in failed is nobody's business.
        # @return [String, nil]
        def problem(field) = (name == "login") ? nil : @auth.field_error(field.name)

        # What is sent beside the fields.
        # @return [Hash{String => String}]
        def hidden
          case name
          when "otp-setup" then {"otp_secret" => @auth.otp_user_key, "otp_raw_secret" => @auth.otp_key}
          when "webauthn-setup" then challenge(:webauthn_setup, credential.challenge)
          when "webauthn-auth" then challenge(:webauthn_auth, credential.challenge)
          else {}
          end
        end

        # @return [String, nil] what the browser asks a key with
        def key_options = name.match?(/\Awebauthn-(setup|auth)\z/) ? credential.as_json.to_json : nil

        # @return [String] what takes a key's answer
        def key_param = (name == "webauthn-setup") ? @auth.webauthn_setup_param : @auth.webauthn_auth_param

        # @return [String, nil] SVG: what a phone reads to make codes
        def code = (name == "otp-setup") ? Drawings::QrCode.new(@auth.otp_provisioning_uri, SQUARE).to_s : nil

        # @return [String, nil] the same to be typed
        def secret = (name == "otp-setup") ? @auth.otp_user_key.scan(/.{1,4}/).join(" ") : nil

        # @return [Array<String>] codes for the day when the phone is lost
        def spare_codes = (key == "spare_codes_shown") ? @auth.recovery_codes : []

        # @return [Array<Array(String, String)>] ids and when they were used
        def keys = (name == "webauthn-remove") ? @auth.account_webauthn_usage.to_a : []

        # @return [Array<Array(String, String)>] address and words, of the ways to go on
        def ways
          return [] unless name == "two-factor-auth" || name == "two-factor-manage"

          links = (name == "two-factor-auth") ? @auth.two_factor_auth_links :
            @auth.two_factor_setup_links + @auth.two_factor_remove_links
          links.map { |_, path, _| [path, Words.say("sign_in.ways.#{path.split("/").last.tr("-", "_")}")] }
        end

        private

        # @return [String] of the words
        def key
          return "spare_codes_shown" if name == "add-recovery-codes"

          name.tr("-", "_")
        end

        def credential
          @credential ||=
            (name == "webauthn-setup") ? @auth.new_webauthn_credential : @auth.webauthn_credential_options_for_get
        end

        def challenge(of, value) = {
          @auth.public_send("#{of}_challenge_param") => value,
          @auth.public_send("#{of}_challenge_hmac_param") => @auth.compute_hmac(value)
        }
      end
    end
  end
end
