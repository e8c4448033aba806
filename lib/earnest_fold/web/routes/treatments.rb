# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The stations of a treatment.
      module Treatments
        SCREENS = {"measure" => Screens::Measure, "heading" => Screens::Heading, "cloth" => Screens::Cloth, "cutting" => Screens::Cutting}.freeze

        def self.registered(app)
          app.helpers(Desk)

          app.get("/jobs/:id/treatments/:treatment/ticket") do |id, treatment|
            job = sheet(id)
            page(:ticket, Screens::Cutting.new(job, job.fetch(number(treatment))))
          end

          app.get("/jobs/:id/treatments/:treatment/changes") do |id, treatment|
            job = sheet(id)
            entry = job.fetch(number(treatment))
            page(:changes, Screens::Changes.new(job, entry, workroom.treatments.changes(entry.id)))
          end

          app.post("/jobs/:id/treatments/:treatment/take-back") { |id, treatment| take_back(sheet(id), number(treatment)) }

          app.post("/jobs/:id/treatments/:treatment/answer") { |id, treatment| answer(sheet(id), number(treatment)) }

          app.post("/jobs/:id/treatments/:treatment/copy") do |id, treatment|
            entry = sheet(id).fetch(number(treatment))
            made = workroom.jobs.copy_window(number(id), entry.window, name: Words.say("job.copy_of", title: entry.title))
            redirect to("/jobs/#{number(id)}/treatments/#{made}/measure"), 303
          end

          SCREENS.each do |station, screen|
            app.get("/jobs/:id/treatments/:treatment/#{station}") do |id, treatment|
              job = sheet(id)
              page(:desk, screen.new(job, job.fetch(number(treatment)), part: params["part"]))
            end

            next if screen.paths({}).empty?

            app.post("/jobs/:id/treatments/:treatment/#{station}") { |id, treatment| save(screen, id, number(treatment)) }
          end
        end

        # Saving what was typed at a station.
        module Desk
          # @param screen [Class] of the station
          def save(screen, id, treatment)
            job = sheet(id)
            entry = job.fetch(treatment)
            return stale(screen, job, entry) unless params["version"] == entry.record.version.to_s

            form = Forms::TreatmentForm.new(job, entry.record, screen.paths(entry.record.spec), params, unit_shown(job))
            workroom.treatments.update(treatment, form.spec, version: entry.record.version) if form.changed?
            saved(screen, id, treatment, form)
          rescue Store::Stale
            stale(screen, job = sheet(id), job.fetch(treatment))
          end

          # @param job [JobSheet]
          def take_back(job, treatment)
            screen = SCREENS.fetch(params["station"], Screens::Measure)
            entry = job.fetch(treatment)
            return stale(screen, job, entry) unless params["version"] == entry.record.version.to_s

            workroom.treatments.take_back(treatment, version: entry.record.version)
            redirect to("/jobs/#{job.job.id}/treatments/#{treatment}/#{screen::STATION}"), 303
          end

          # Keeps the answer to a question with the treatment.
          # @param job [JobSheet]
          def answer(job, treatment)
            screen = SCREENS.fetch(params["station"], Screens::Measure)
            entry = job.fetch(treatment)
            return stale(screen, job, entry) unless params["version"] == entry.record.version.to_s

            form = Forms::AnswerForm.new(entry.record, params)
            workroom.treatments.update(treatment, form.spec, version: entry.record.version) if form.valid?
            return redirect(to("/jobs/#{job.job.id}/treatments/#{treatment}/#{screen::STATION}"), 303) unless htmx?

            fresh = sheet(job.job.id.to_s)
            page(:desk, screen.new(fresh, fresh.fetch(treatment), part: params["part"]))
          end

          def saved(screen, id, treatment, form)
            return redirect(to(request.path_info), 303) if form.valid? && !htmx?

            job = sheet(id)
            page(:desk, screen.new(job, job.fetch(treatment), form: form, part: params["part"]), status: form.valid? ? 200 : 422)
          end

          # Someone else was here in between: show what they left, and say so.
          def stale(screen, job, entry) = page(:desk, screen.new(job, entry, notice: :changed_elsewhere, part: params["part"]), status: 409)

          def unit_shown(job) = Reckoning::Units::ALL.fetch(params["unit"], job.unit)
        end
      end
    end
  end
end
