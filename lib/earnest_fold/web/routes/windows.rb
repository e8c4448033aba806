# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What is done with a job's windows and layers as wholes: copied, moved, put away; and the job's notes and
      # archive.
      module Windows
        WAYS = {"before" => -1, "after" => 1}.freeze

        def self.registered(app)
          of_job(app)
          layers(app)

          app.post("/jobs/:id/treatments/:treatment/copy") do |id, treatment|
            entry = sheet(id).fetch(number(treatment))
            made = workroom.jobs.copy_window(
              number(id),
              entry.window,
              name: Words.say("job.copy_of", title: entry.window.name.empty? ? entry.window.room : entry.window.name)
            )
            redirect to("/jobs/#{number(id)}/treatments/#{made}/measure"), 303
          end

          app.post("/jobs/:id/treatments/:treatment/put-away") { |id, treatment| put_away(id, number(treatment), true) }
          app.post("/jobs/:id/treatments/:treatment/bring-back") do |id, treatment|
            put_away(id, number(treatment), false)
          end
          app.helpers(Storing)
        end

        def self.of_job(app)
          app.post("/jobs/:id/notes") do |id|
            merged do
              job = workroom.jobs.find(number(id))
              form = Forms::NotesForm.new(job, params)
              next page(:job, Screens::Job.new(sheet(id), notes: form), status: 409) unless form.valid?

              workroom.jobs.set_notes(job.id, form.notes, version: job.version)
              redirect to("/jobs/#{job.id}"), 303
            end
          end

          app.post("/jobs/:id/archive") do |id|
            workroom.jobs.archive(number(id), params["archived"] == "yes")
            redirect to((params["archived"] == "yes") ? "/jobs" : "/jobs/#{number(id)}"), 303
          end
        end

        def self.layers(app)
          app.post("/jobs/:id/treatments/:treatment/layer") do |id, treatment|
            job = sheet(id)
            form = Forms::LayerForm.new(job, job.fetch_made(number(treatment)), params)
            made = workroom.jobs.add_layer(
              number(id),
              job.fetch(number(treatment)).window,
              form.spec,
              behind: form.behind?
            )
            redirect to("/jobs/#{number(id)}/treatments/#{made}/measure"), 303
          end

          app.post("/jobs/:id/treatments/:treatment/move") do |id, treatment|
            entry = sheet(id).fetch(number(treatment))
            what, way = params["move"].to_s.split("-")
            by = WAYS.fetch(way) { raise Store::Missing, "no such way" }
            if what == "layer"
              workroom.jobs.move_layer(number(id), entry.window.id, entry.id, by: by)
            else
              workroom.jobs.move_window(number(id), entry.window.id, by: by)
            end
            redirect to("/jobs/#{number(id)}"), 303
          end
        end

        # Nothing is thrown away.
        module Storing
          def put_away(id, treatment, away)
            job = workroom.jobs.find(number(id))
            unless job.treatments.any? { |record| record.id == treatment }
              raise Store::Missing, "no treatment #{treatment}"
            end

            workroom.treatments.put_away(treatment, away)
            redirect to("/jobs/#{job.id}"), 303
          end
        end
      end
    end
  end
end
