# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What the house talks to outside: how it answers, what waits, and whether it is switched on.
      class OutsideHouse < Handler
        # Under this a session carries what is said on the next page.
        ASKED = "asked_outside"

        get Paths.outside, :show
        get Paths.outside("outbox/:file"), :taken
        post Paths.outside("post/switch"), :switch, to: Access::OWNERS
        post Paths.outside("post/ask"), :ask

        def show
          shown = Screens::Outside.new(
            Screens::PostStands.now, workroom.letters.unsent, outbox,
            asked: session.delete(ASKED), owner: may?(Access::OWNERS)
          )
          page(:outside, shown)
        end

        # A letter that the stand-in took, as it came.
        def taken(file)
          letter = outbox&.find(file) or raise Store::Missing, "no such letter"
          sent_as("message/rfc822", file)
          letter.bytes
        end

        def switch
          open = params["open"] == "yes"
          Store::Outside.switch(Adapters::Post::NAME, open)
          noted(open ? :post_opened : :post_closed)
          go(Paths.outside)
        end

        # From the queue: nothing silent holds this page up.
        def ask
          Store::Outside.ask
          session[ASKED] = true
          go(Paths.outside)
        end

        private

        def outbox = (folder = Adapters::Post.configured&.stand_in) && Documents::Outbox.new(folder)
      end
    end
  end
end
