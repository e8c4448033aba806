# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What a job comes to, and its quotes, orders and invoices.
      module Account
        def self.registered(app)
          app.helpers(Writing)
          app.get("/jobs/:id/account") { |id| account(id) }
          app.post("/jobs/:id/account") { |id| settle_account(id) }
          app.post("/jobs/:id/papers") { |id| write_paper(id) }

          app.get("/jobs/:id/papers/:paper.pdf") do |id, paper|
            written = workroom.papers.find(number(id), number(paper))
            content_type "application/pdf"
            attachment "#{Words.say("papers.kinds.#{written.kind}").downcase}-#{written.number}.pdf"
            Documents::BillPdf.new(written.kind, written.number, clock.long_day(written.at), written.content).render
          end
        end

        # Settling what is asked, and writing it down.
        module Writing
          def account(id, status: 200, **more)
            made = Work::Account.new(sheet(id))
            page(
              :account,
              Screens::Account.new(
                made,
                workroom.papers.of(made.sheet.job.id),
                following: workroom.papers.following,
                **more
              ),
              status: status
            )
          end

          def settle_account(id)
            merged do
              made = Work::Account.new(sheet(id))
              form = Forms::AccountForm.new(made.kept, made.asked, params)
              next account(id, status: status_of(form), form: form) unless form.valid?

              workroom.jobs.set_account(number(id), form.kept, version: made.sheet.job.version)
              redirect to("/jobs/#{number(id)}/account"), 303
            end
          end

          def write_paper(id)
            form = Forms::PaperForm.new(params)
            return account(id, status: 422, problem: form.problem) unless form.valid?

            made = Work::Account.new(sheet(id))
            workroom.papers.write(
              number(id),
              form.kind,
              Documents::BillContent.of(made, form.customer),
              number: form.number
            )
            redirect to("/jobs/#{number(id)}/account"), 303
          rescue Store::Taken
            account(id, status: 422, problem: :number_used)
          rescue Store::OutOfTurn
            account(id, status: 422, problem: :number_out_of_turn)
          end
        end
      end
    end
  end
end
