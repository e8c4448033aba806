# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What takes longer than a page may wait: how far it is, what it made, and an end to it.
      class Errands < Handler
        open_to Access::HOUSE
        get Paths.errands, :list, to: Access::MAKERS
        get Paths.errand(":id"), :show
        get Paths.errand(":id", "bar"), :bar
        get Paths.errand(":id", "paper"), :paper
        post Paths.errand(":id", "stop"), :stop
        post Paths.errand(":id", "again"), :again

        def list = page(:errands, Screens::Errands.new(workroom.errands.list))

        def show(id) = page(:errand, asked_for(id))

        # What a page asks for again and again: it is loaded anew as soon as there is an answer.
        def bar(id)
          screen = asked_for(id)
          headers("HX-Refresh" => "true") unless screen.errand.live?
          page(:_errand_bar, screen)
        end

        def paper(id)
          screen = asked_for(id)
          made = workroom.errands.made(screen.errand.id) or raise Store::Missing, "nothing was made"
          sent_as("application/pdf", screen.file_name)
          made
        end

        def stop(id)
          workroom.errands.stop(asked_for(id).errand.id)
          on(asked_for(id))
        end

        def again(id) =
          on(Screens::Errand.new(workroom.errands.again(asked_for(id).errand.id), back: params["back"]))

        private

        # Who doesn't make the whole sees what they asked for themselves.
        def asked_for(id)
          errand = workroom.errands.find(number(id))
          raise Store::Missing, "another's" unless may?(Access::MAKERS) || errand.by == who.name

          Screens::Errand.new(errand, back: params["back"])
        end

        # To where a plan is looked at; a paper has no other place.
        def on(screen) = go(screen.back || Paths.errand(screen.errand.id))
      end
    end
  end
end
