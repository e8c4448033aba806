# frozen_string_literal: true

module EarnestFold
  module Web
    # What is asked again before it is done ({Sure}).
    module Asking
      # What comes with a key of its own needs no token of a page: no browser sends it by itself.
      def by_key? =
        Door::HANDED_IN.include?(request.path_info) &&
          request.env["HTTP_AUTHORIZATION"].to_s.start_with?("Bearer ")

      # Where it isn't sure that it is still they, their password is asked for, and what was sent waits with it.
      def known_for_sure
        given = params[Sure::FIELD]
        return if Sure.new(session, request.env.fetch(Access::AUTH), Time.now).sure?(given)

        sent = request.POST.except(Sure::FIELD, Once::KEY, "authenticity_token")
        fields = URI.decode_www_form(Rack::Utils.build_nested_query(sent))
        halt page(:sure, Screens::Sure.new(request.path_info, fields, wrong: !given.nil?), status: 422)
      end
    end
  end
end
