# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Reckon: everything stands in the address, and nothing is kept until somebody says so.
      class Reckon < Handler
        # No form has more.
        MOST = 16_000

        open_to Access::HOUSE
        get Paths.reckon, :show
        get Paths.reckon_near, :near
        get Paths.reckon_beside, :beside
        post Paths.keep_reckoned, :keep, to: Access::MAKERS

        # The address follows what is typed, without what only the page needs.
        def show
          screen = screen(asked(params))
          headers("HX-Replace-Url" => screen.address) if htmx?
          page(:reckon, screen)
        end

        # How near it is to another answer.
        def near
          form = asked(params)
          form.altering? ? go(screen(form).address) : page(:near, screen(form))
        end

        # The same with every other heading, and the cloth run the other way.
        def beside
          form = asked(params)
          form.altering? ? go(screen(form).address) : page(:reckon_beside, Screens::ReckonBeside.new(form))
        end

        # A job with that window and its cloth.
        def keep
          form = asked(carried)
          id = workroom.jobs.bring_in(**form.kept(params["job_title"].to_s))
          go(Paths.station(id, workroom.jobs.find(id).treatments.first.id, "measure"))
        end

        private

        # Everything that stood in the form, as the page sends it.
        def carried
          figures = params["figures"].to_s
          raise Rack::QueryParser::InvalidParameterError, "too many figures" if figures.size > MOST

          URI.decode_www_form(figures).to_h
        rescue ArgumentError => error
          raise Rack::QueryParser::InvalidParameterError, error.message
        end

        def asked(said) = Forms::ReckonForm.new(said, house, workroom.cloths.all)

        def screen(form) = (form.altering? ? Screens::ReckonAltered : Screens::Reckon).new(form)
      end
    end
  end
end
