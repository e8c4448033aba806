# frozen_string_literal: true

require "rack/protection"

module EarnestFold
  module Web
    # Whether a post carries the token of its own session.
    module Tokens
      CHECK = Rack::Protection::AuthenticityToken.new(nil)
      private_constant :CHECK

      # @param env [Hash] of a request
      # @return [Boolean]
      def self.accept?(env) = CHECK.accepts?(env)
    end
  end
end
