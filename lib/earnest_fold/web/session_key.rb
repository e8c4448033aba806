# frozen_string_literal: true

require "openssl"

module EarnestFold
  module Web
    # The key of a session: it stands in the browser's own cookie, and only its print in the database.
    module SessionKey
      module_function

      # @param key [String]
      # @param secret [String] the application's
      # @return [String] what is kept of it
      def print_of(key, secret) =
        [OpenSSL::HMAC.digest("SHA256", secret, key.to_s)].pack("m0").tr("+/", "-_").delete("=")
    end
  end
end
