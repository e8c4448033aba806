# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Letters to customers: begun from a job or a paper, looked at, and sent by others.
      class Letters < Handler
        post Paths.job(":id", "letters"), :write
        get Paths.letter(":id", ":letter"), :show
        post Paths.letter(":id", ":letter"), :change
        post Paths.letter(":id", ":letter", "send"), :send_off
        post Paths.letter(":id", ":letter", "throw-away"), :throw_away
        post Paths.letter(":id", ":letter", "anew"), :anew

        def write(id)
          sort, paper = params["sort"].to_s, paper_of(id)
          raise Store::Missing, "no letters of that sort" unless Store::Letters::SORTS.include?(sort)

          job = workroom.jobs.find(number(id))
          slip = (sort == "slip") ? slip_of(job) : nil
          customer = job.customer_id && workroom.customers.find(job.customer_id)
          draft = Work::LetterDraft.new(job, customer, house.name, paper: paper)
          texts = draft.texts(sort) { |key, facts| said(key, facts) }
          along = {paper: paper&.id, slip: slip&.id}
          made = workroom.letters.draft(job.id, sort: sort, house: request.base_url, **along, **texts)
          go(Paths.letter(job.id, made))
        end

        def show(id, letter, status: 200, **more)
          found = letter_of(id, letter)
          paper = found.paper_id && workroom.bills.find(found.job_id, found.paper_id)
          slip = found.slip_id && workroom.slips.find(found.slip_id)
          post = Screens::OutsideStands.of(Adapters::Post)
          shown = Screens::Letter.new(found, workroom.jobs.find(found.job_id), paper, slip: slip, post: post, **more)
          page(:letter, shown, status: status)
        end

        def change(id, letter)
          merged do
            found = letter_of(id, letter)
            # Somebody sent it meanwhile: it is shown as it went.
            next show(id, letter, status: 409) unless found.draft?

            form = Forms::LetterForm.new(found, params)
            next show(id, letter, status: status_of(form), form: form) unless form.valid?

            keep(found, form)
            go(Paths.letter(found.job_id, found.id))
          end
        end

        # With what was typed last.
        def send_off(id, letter)
          merged do
            found = letter_of(id, letter)
            form = Forms::LetterForm.new(found, params, going: true)
            next show(id, letter, status: status_of(form), form: form) unless form.valid?

            workroom.transaction do
              keep(found, form) if found.draft?
              workroom.letters.send_off(found.id)
            end
            noted(:letter_sent, letter: found.id)
            go(Paths.letter(number(id), found.id))
          end
        end

        # One that didn't go, or came back: to another address, say.
        def anew(id, letter)
          found = letter_of(id, letter)
          workroom.letters.as_draft(found.id)
          go(Paths.letter(found.job_id, found.id))
        end

        def throw_away(id, letter)
          workroom.letters.throw_away(letter_of(id, letter).id)
          go(Paths.job(number(id)))
        end

        private

        # @param found [Store::Letters::Letter]
        def keep(found, form) = workroom.letters.change(found.id, form.values, version: found.version)

        def letter_of(id, letter)
          found = workroom.letters.find(number(letter))
          (found.job_id == number(id)) ? found : raise(Store::Missing, "no such letter there")
        end

        # One that was handed out at a work of the job.
        def slip_of(job)
          slip = workroom.slips.find(number(params["slip"].to_s))
          return slip if job.treatments.any? { |one| one.id == slip.treatment_id }

          raise Store::Missing, "another job's slip"
        end

        # What a paper says of money is for whoever sees the books.
        def paper_of(id)
          return if params["paper"].to_s.empty?

          halt(@app.turned_away) unless may?(Access::BOOKS)
          workroom.bills.find(number(id), number(params["paper"].to_s))
        end

        def said(key, facts)
          day = facts[:day]
          Words.say(key, **facts, day: day ? Words.date(day, :long) : Words.say("letters.soon"))
        end
      end
    end
  end
end
