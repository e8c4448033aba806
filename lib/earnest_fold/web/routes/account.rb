# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What a job comes to, and its quotes, orders and invoices.
      class Account < Handler
        open_to Access.station("account")
        get Paths.account(":id"), :show
        post Paths.account(":id"), :settle
        post Paths.job(":id", "papers"), :write
        get Paths.paper(":id", ":paper"), :paper
        post Paths.paper_answer(":id", ":paper"), :answer
        post Paths.paper_link(":id", ":paper", "make"), :make_link
        post Paths.paper_link(":id", ":paper", "take-back"), :take_back_link

        # Under this a session carries a link for a customer that is told once.
        LINK = "paper_link"

        # @param paper [Forms::PaperForm, nil] that couldn't be written: what was typed of it stands
        def show(id, status: 200, paper: nil, **more)
          made = account_of(id)
          papers = workroom.bills.of(made.sheet.job.id)
          shown = Screens::Account.new(
            made,
            papers,
            following: workroom.bills.following,
            addressed: paper ? paper.customer : addressed(made.sheet.job, papers),
            number: paper&.typed,
            links: Screens::CustomerLinks.new(
              workroom.customer_links.of_papers(papers.map(&:id)), told: session.delete(LINK), at: request.base_url
            ),
            **more
          )
          page(:account, shown, status: status)
        end

        def settle(id)
          merged do
            made = account_of(id)
            form = Forms::AccountForm.new(made.kept, made.asked, params, today: clock.today.iso8601)
            next show(id, status: status_of(form), form: form) unless form.valid?

            workroom.jobs.set_account(number(id), form.account, version: made.sheet.job.version)
            go(Paths.account(number(id)))
          end
        end

        def write(id)
          form = Forms::PaperForm.new(params)
          return unwritten(id, form, form.problem) unless form.valid?

          made = account_of(id)
          return unwritten(id, form, :nothing_to_bill) if made.statement.nothing?

          content = Documents::BillContent.of(made, form.customer)
          workroom.bills.write(number(id), form.kind, content, number: form.number)
          go(Paths.account(number(id)))
        rescue Store::Taken
          unwritten(id, form, :number_used)
        rescue Store::OutOfTurn
          unwritten(id, form, :number_out_of_turn)
        end

        def answer(id, paper)
          form = Forms::PaperAnswerForm.new(params, clock.today)
          return show(id, status: 422, problem: form.problem) unless form.valid?

          workroom.bills.answer(number(id), number(paper), form.said, form.day)
          go(Paths.account(number(id)))
        end

        # The link is told once: only its print is kept.
        def make_link(id, paper)
          made = workroom.bills.find(number(id), number(paper))
          session[LINK] = [made.id, workroom.customer_links.make(paper: made.id)]
          go(Paths.account(number(id)))
        end

        def take_back_link(id, paper)
          workroom.customer_links.take_back(paper: workroom.bills.find(number(id), number(paper)).id)
          go(Paths.account(number(id)))
        end

        def paper(id, paper)
          written = workroom.bills.find(number(id), number(paper))
          kind = Words.say("papers.kinds.#{written.kind}").downcase
          sent_as("application/pdf", "#{kind}-#{written.number}.pdf")
          Documents::BillPdf.new(written.kind, written.number, clock.long_day(written.at), written.content).render
        end

        private

        def unwritten(id, form, problem) = show(id, status: 422, problem: problem, paper: form)

        # Whose the job is, as they are written to; else as the last paper was addressed.
        def addressed(job, papers)
          return workroom.customers.find(job.customer_id).addressed if job.customer_id

          papers.first&.content&.fetch("customer", "").to_s
        end

        # @return [Work::Account]
        def account_of(id)
          job = sheet(id)
          Work::Account.new(job, workroom.bench.clocks(job.job.id, state: job.said))
        end
      end
    end
  end
end
