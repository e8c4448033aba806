# frozen_string_literal: true

module EarnestFold
  module Web
    # How a page of signing in is shown: by the application, as every other page is, with all that it says of itself.
    module SignInShown
      module_function

      # @param env [Hash] of the request
      # @param view [Symbol]
      # @param screen [Object]
      # @param status [Integer]
      # @return [Array] a whole answer
      def page(env, view, screen, status)
        inner = env.reject { |name, _| name.start_with?("rack.request.") }.merge(
          "REQUEST_METHOD" => "GET",
          "PATH_INFO" => Paths.sign_in_shown,
          "QUERY_STRING" => "",
          Routes::SigningIn::SHOWN => [view, screen]
        )
        _, headers, body = env.fetch(Access::INNER).call(inner)
        [status, headers, body]
      end

      # @return [Array] a whole answer: what went wrong
      def failure(env, status) =
        page(env, :error, Screens::Failure.new(status, number: env[RequestLog::NUMBER]), status)
    end
  end
end
