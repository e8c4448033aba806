# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What a customer's link opens, for whoever has it: that paper, and nothing else.
      class ForCustomer < Handler
        open_to Access::OPEN
        get Paths.for_customer(":key"), :show
        get Paths.for_customer(":key", "paper.pdf"), :paper
        post Paths.for_customer(":key"), :answer

        def show(key, status: 200, **more)
          headers("X-Robots-Tag" => "noindex")
          page(:for_customer, Screens::ForCustomer.new(shown(key), key, day: today(key), **more), status: status)
        end

        def paper(key)
          found = shown(key)
          sent_as("application/pdf", "#{found.paper ? found.paper.kind : "slip"}.pdf")
          return found.workroom.slips.file(found.slip.id) if found.slip

          made = found.paper
          Documents::BillPdf.new(made.kind, made.number, clock_of(found).long_day(made.at), made.content).render
        end

        # Answered once: whoever comes second sees what was answered.
        def answer(key)
          form = Forms::LinkAnswerForm.new(params)
          return show(key, status: 422, form: form) unless form.valid?

          Store::ShownPapers.answer(key, form.said, form.name, today(key))
          go(Paths.for_customer(key))
        rescue Store::Taken
          @shown = nil
          show(key, status: 409)
        end

        private

        def shown(key) = @shown ||= Store::ShownPapers.find(key) || raise(Store::Missing, "no such link")

        # By the clock of the house whose paper it is.
        def clock_of(found) = WallClock.new(Work::Workroom.new(found.workroom).house.rules.diary.zone)

        def today(key) = clock_of(shown(key)).today
      end
    end
  end
end
