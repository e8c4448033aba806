# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The jobs, and a job's first screen.
      module Jobs
        def self.registered(app)
          lists(app)
          one(app)
        end

        def self.lists(app)
          app.get("/jobs") do
            page(:jobs, Screens::Jobs.new(workroom.jobs.list(page: page_asked), unit: house.unit, page: page_asked))
          end
          app.get("/jobs/archive") do
            page(:archive, Screens::Archive.new(workroom.jobs.list(archived: true, page: page_asked), page: page_asked))
          end

          app.post("/jobs") do
            form = Forms::JobForm.new(params)
            unless form.valid?
              next(
                page(
                  :jobs,
                  Screens::Jobs.new(workroom.jobs.list, unit: house.unit, typed: form.typed, problem: form.problem),
                  status: 422
                )
              )
            end

            redirect to("/jobs/#{workroom.jobs.create(**form.values)}"), 303
          end
        end

        def self.one(app)
          app.get("/jobs/:id") { |id| page(:job, Screens::Job.new(sheet(id))) }

          app.post("/jobs/:id/windows") do |id|
            form, job = Forms::WindowForm.new(params), sheet(id)
            unless form.valid?
              next page(:job, Screens::Job.new(job, typed: form.typed, problem: form.problem), status: 422)
            end

            made = workroom.jobs.add_window(
              job.job.id,
              **form.values,
              spec: job.settled.first_set.applied(Store::StartingRules::UNMEASURED, job.unit)
            )
            redirect to("/jobs/#{job.job.id}/treatments/#{made}/measure"), 303
          end

          app.post("/jobs/:id/unit") do |id|
            form = Forms::UnitForm.new(params)
            workroom.jobs.set_unit(number(id), form.unit)
            redirect to(form.back("/jobs/#{number(id)}")), 303
          end
        end
      end
    end
  end
end
