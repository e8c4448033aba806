# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The jobs, and a job's first screen.
      class Jobs < Handler
        include FirstScreen

        get Paths.jobs, :all, to: Access::AT_JOB
        get Paths.archive, :archive
        post Paths.jobs, :add
        post Paths.import, :bring_in
        get Paths.job(":id"), :show, to: Access::AT_JOB
        post Paths.job(":id", "windows"), :add_window
        post Paths.job(":id", "unit"), :set_unit, to: Access::AT_JOB
        post Paths.job(":id", "title"), :rename
        post Paths.job(":id", "notes"), :keep_notes
        post Paths.job(":id", "archive"), :put_by

        def all = page(:jobs, listed(page_asked))

        def archive
          shown = Screens::Archive.new(workroom.jobs.list(archived: true, page: page_asked), page: page_asked)
          page(:archive, shown)
        end

        def add
          form = Forms::JobForm.new(params)
          unless form.valid?
            return page(:jobs, listed(1, typed: form.typed, problem: form.problem), status: 422)
          end

          go(Paths.job(workroom.jobs.create(**form.values)))
        end

        def bring_in
          form = Forms::ImportForm.new(params["file"], house.sets)
          return page(:import, Screens::Import.new(form.problems), status: 422) unless form.valid?

          id = workroom.transaction do
            workroom.jobs.bring_in(**form.values).tap { |made| fill(made, form.archive) if form.archive }
          end
          go(Paths.job(id))
        end

        def show(id) = page(:job, first_screen(sheet(id)))

        def add_window(id)
          form, job = Forms::WindowForm.new(params), sheet(id)
          unless form.valid?
            return page(:job, first_screen(job, typed: form.typed, problem: form.problem), status: 422)
          end

          spec = form.set(job.settled).applied(Store::StartingRules::UNMEASURED, job.unit)
          made = workroom.windows(job.job.id).add(**form.values, spec: spec)
          go(Paths.station(job.job.id, made, "measure"))
        end

        def set_unit(id)
          form = Forms::UnitForm.new(params)
          workroom.jobs.set_unit(number(id), form.unit)
          go(form.back(Paths.job(number(id))))
        end

        def keep_notes(id)
          keep_of_job(id, Forms::NotesForm, :notes) do |job, form|
            workroom.jobs.set_notes(job.id, form.notes, version: job.version)
          end
        end

        def rename(id)
          keep_of_job(id, Forms::TitleForm, :title) do |job, form|
            workroom.jobs.rename(job.id, form.values[:title], version: job.version)
          end
        end

        def put_by(id)
          away = params["archived"] == "yes"
          workroom.jobs.archive(number(id), away)
          go(away ? Paths.jobs : Paths.job(number(id)))
        end

        private

        # Of an apprentice's the jobs that are lent to them.
        def lines_of(page)
          return workroom.jobs.list(page: page) unless who.role == Store::People::APPRENTICE

          workroom.jobs.list(page: page, only: workroom.people.lent(who.person_id))
        end

        # What came besides its document, with its works in the document's order.
        def fill(id, archive)
          works = Work::Export.order(workroom.jobs.find(id))
          workroom.job_rest.fill(id, works, archive.rest, archive.images)
        end

        def listed(page, **more) =
          Screens::Jobs.new(lines_of(page), unit: house.unit, page: page, **more)
      end
    end
  end
end
