# frozen_string_literal: true

require "forwardable"

module EarnestFold
  module Web
    # What answers for one resource. A handler names its routes and has a method for each, which does three things:
    # reads (a form), does (one call), and shows (one screen) or leads on. It is made for one request.
    class Handler
      extend Forwardable

      # One of its routes: the verb, the address, the method that answers, what that is given first, who may, whether
      # they are asked for their password before, and what else has to be so ({App}'s conditions).
      Route = Reckoning::Value.define(:verb, :path, :action, :given, :to, :sure, :where)

      SEE_OTHER = 303
      # The job and the work of an address.
      WORK = [":id", ":treatment"].freeze

      class << self
        # @return [Array<Route>]
        def routes = @routes ||= []

        # Who may use its routes, as far as they don't say otherwise; for those that come after.
        # @param access [Access]
        def open_to(access) = @access = access

        # @param path [String] an address of {Paths}
        # @param action [Symbol] the method, which takes the parts of the address in their order
        # @param given [Array] what it takes before them
        # @param to [Access] who may
        # @param where [Hash] conditions; where one isn't met it is another's route
        def get(path, action, *given, to: access, **where) =
          routes << Route.new(verb: :get, path: path, action: action, given: given, to: to, sure: false, where: where)

        # @param sure [Boolean] whether they are asked for their password before
        def post(path, action, *given, to: access, sure: false, **where) =
          routes << Route.new(verb: :post, path: path, action: action, given: given, to: to, sure: sure, where: where)

        # @return [Access] an owner's and a maker's, where it isn't said
        def access = @access || Access::MAKERS

        # @param app [Class] the application
        def mount(app)
          handler = self
          routes.each do |route|
            app.public_send(route.verb, route.path, **route.where) do |*parts|
              handler.new(self).admitted(route).public_send(route.action, *route.given, *parts)
            end
          end
        end
      end

      # @param app [App] in the middle of a request
      def initialize(app)
        @app = app
      end

      def_delegators(
        :@app,
        :params,
        :in_hand,
        :request,
        :session,
        :workroom,
        :who,
        :may?,
        :open_stations,
        :house,
        :clock,
        :page,
        :htmx?,
        :sheet,
        :desk_sheet,
        :number,
        :page_asked,
        :merged,
        :status_of,
        :halt,
        :pass,
        :headers,
        :content_type,
        :attachment,
        :cache_control
      )
      private(*instance_methods(false))

      # Nothing is done before this.
      # @param route [Route]
      # @return [Handler] self, where whoever is signed in may
      def admitted(route)
        @app.known_for_sure if route.sure && route.to.admits?(who, nil)
        lent = of_a_job?(route) ? -> { workroom.people.lent(who.person_id).include?(params["id"].to_s.to_i) } : nil
        return self if route.to.admits?(who, lent)
        raise Store::Missing, "not lent" if lent && route.to.lends?(who)

        halt(@app.turned_away)
      end

      private

      # What happened at the door, or who was let do what.
      def noted(what, **facts) = DoorLog.note(request.env, what, **facts)

      # @return [String] what sessions, keys and codes are printed with
      def secret = @app.settings.sessions.fetch(:secret)

      # A plan has so many seconds in any case, however long the page took until then.
      LEAST_PATIENCE = 0.1
      private_constant :LEAST_PATIENCE

      # @return [Numeric] seconds that a page spends on a plan before others go on with it: what it took for the rest
      #   is no more there
      def patience
        whole = @app.settings.patience
        spent = RequestLog.now - request.env.fetch(RequestLog::BEGAN) { RequestLog.now }
        whole.zero? ? whole : [whole - spent, LEAST_PATIENCE].max
      end

      def of_a_job?(route) = route.path.to_s.start_with?("#{Paths.jobs}/:id")

      # @param what [String] of {ShortCode::OPENS}
      # @return [String] the address that the code on a label says
      def on_label(what, *numbers) =
        "#{request.base_url}#{Paths.scanned(ShortCode.of(secret, workroom.id, what, *numbers))}"

      # @param path [String] of {Paths}
      def go(path) = @app.redirect(@app.to(path), SEE_OTHER)

      # @param version [Integer] as it is now
      # @return [Boolean] whether the page showed just that
      def seen?(version) = params["version"].to_s == version.to_s

      # @param version [Integer] as it is now
      # @return [Integer] the version that the page showed, to be compared in the store: one that nothing has where it
      #   showed another
      def seen(version) = seen?(version) ? version : -1

      # @param type [String] a file's
      # @param name [String] that it is to be kept under
      def sent_as(type, name)
        content_type(type)
        attachment(name)
      end

      # @param job [Work::Job]
      # @param ending [String]
      def filed(type, job, ending) = sent_as(type, "#{job.job.title.gsub(/[^\w-]+/, "-")}#{ending}")

      # @return [Reckoning::Unit] of what belongs to no job
      def workroom_unit = house.rules.unit(house.unit)

      # @param file [Hash, nil] as the request brings it
      # @return [String] empty where there is none
      def read_file(file, *most)
        (file.is_a?(Hash) && file[:tempfile].respond_to?(:read)) ? file[:tempfile].read(*most).to_s : ""
      end
    end
  end
end
