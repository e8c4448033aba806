# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What the house talks to outside: how it answers, what waits, and whether it is switched on.
      class OutsideHouse < Handler
        # Under this a session carries that something is being asked.
        ASKED = "asked_outside"
        THINGS = [Adapters::Post, Adapters::LabelPrinter, Adapters::Supplier]
          .to_h { |adapter| [adapter::NAME, adapter] }.freeze
        PRINTED = /\A[\w.-]{1,80}\.pdf\z/

        get Paths.outside, :show
        get Paths.outside("outbox/:file"), :taken
        get Paths.outside("printed/:file"), :printed
        post Paths.outside(":thing/switch"), :switch, to: Access::OWNERS
        post Paths.outside(":thing/ask"), :ask
        post Paths.outside("prints/:print/again"), :print_again
        post Paths.outside("wrong/seen"), :looked_at

        def show
          shown = Screens::Outside.new(
            THINGS.values.map { |adapter| Screens::OutsideStands.of(adapter) },
            letters: workroom.letters.unsent,
            prints: workroom.prints.list,
            orders: workroom.orders.open,
            wrongs: workroom.supply.wrongs,
            meters: workroom.meters.all,
            outbox: outbox,
            printed: printed_files,
            asked: session.delete(ASKED),
            owner: may?(Access::OWNERS)
          )
          page(:outside, shown)
        end

        # A letter that the stand-in took, as it came.
        def taken(file)
          letter = outbox&.find(file) or raise Store::Missing, "no such letter"
          sent_as("message/rfc822", file)
          letter.bytes
        end

        # What the stand-in printed.
        def printed(file)
          folder = Adapters::LabelPrinter.configured&.stand_in
          path = (folder && PRINTED.match?(file)) ? File.join(folder, file) : nil
          raise Store::Missing, "nothing printed" unless path && File.file?(path)

          sent_as("application/pdf", file)
          File.binread(path)
        end

        def switch(thing)
          open = params["open"] == "yes"
          Store::Outside.switch(known(thing), open)
          noted(:outside_switched, thing: thing, open: open)
          go(Paths.outside)
        end

        # From the queue: nothing silent holds this page up.
        def ask(thing)
          Store::Outside.ask(known(thing))
          session[ASKED] = true
          go(Paths.outside)
        end

        def print_again(print)
          workroom.prints.send_off(number(print))
          go(Paths.outside)
        end

        # What could not be right was looked at.
        def looked_at
          workroom.supply.looked_at
          go(Paths.outside)
        end

        private

        def known(thing) = THINGS.key?(thing) ? thing : raise(Store::Missing, "nothing outside of that name")

        def outbox = (folder = Adapters::Post.configured&.stand_in) && Documents::Outbox.new(folder)

        # @return [Array<String>, nil] the last first; nil with a real printer
        def printed_files
          folder = Adapters::LabelPrinter.configured&.stand_in or return
          Dir[File.join(folder, "*.pdf")].max(Store::Prints::MOST).map { |path| File.basename(path) }
        end
      end
    end
  end
end
