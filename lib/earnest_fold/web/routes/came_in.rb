# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Somebody's own curtains: how they come to a job, and what they were like when they came in.
      module CameIn
        PLACE = "/jobs/:id/treatments/:treatment"

        def self.registered(app)
          app.helpers(Noting)
          app.post("/jobs/:id/alterations") { |id| take_in(id) }
          app.get("#{PLACE}/came-in") { |id, treatment| came_in(id, treatment) }
          app.post("#{PLACE}/came-in/notes") { |id, treatment| note_down(id, treatment) }
          app.post("#{PLACE}/came-in/notes/:note/strike") do |id, treatment, note|
            changed_in(id, treatment) { |own| workroom.came_in.strike(own, number(note)) }
          end
          photographs(app)
        end

        def self.photographs(app)
          app.post("#{PLACE}/came-in/photographs") { |id, treatment| photograph(id, treatment) }
          app.post("#{PLACE}/came-in/photographs/:photograph/remove") do |id, treatment, one|
            changed_in(id, treatment) { |own| workroom.came_in.remove_photograph(own, number(one)) }
          end

          app.get("#{PLACE}/came-in/photographs/:photograph.jpg") do |id, treatment, one|
            own = altered(sheet(id), treatment).id
            content_type "image/jpeg"
            cache_control :private, max_age: 3600
            workroom.came_in.image(own, number(one))
          end

          app.get("#{PLACE}/slip.pdf") do |id, treatment|
            job = sheet(id)
            filed("application/pdf", job, "-slip.pdf")
            SlipPaper.new(job, altered(job, treatment), workroom).render
          end
        end

        # Noting, and what stands in the way of it.
        module Noting
          def altered(job, treatment)
            entry = job.fetch(number(treatment))
            entry.alteration? ? entry : raise(Store::Missing, "not somebody's own curtain")
          end

          def take_in(id)
            form, job = Forms::WindowForm.new(params), sheet(id)
            kind = params["kind"].to_s
            unless form.valid? && Reckoning::Alterations[kind]
              return (
                page(
                  :job,
                  Screens::Job.new(job, typed: form.typed, altering: form.problem || :kind_missing),
                  status: 422
                )
              )
            end

            made = workroom.jobs.add_window(
              job.job.id,
              **form.values,
              spec: Forms::AlteredSpec.fresh(kind, job.settled.first_set, job.unit)
            )
            redirect to("/jobs/#{job.job.id}/treatments/#{made}/measure"), 303
          end

          def came_in(id, treatment, status: 200, **more)
            job = sheet(id)
            entry = altered(job, treatment)
            page(
              :came_in,
              Screens::CameIn.new(
                job,
                entry,
                workroom.came_in.notes(entry.id),
                workroom.came_in.photographs(entry.id),
                **more
              ),
              status: status
            )
          end

          def note_down(id, treatment)
            entry = altered(sheet(id), treatment)
            form = Forms::NoteForm.new(entry.reckoning ? entry.reckoning.curtain.hands : %w[single], params)
            return came_in(id, treatment, status: 422, problem: form.problem, typed: form.typed) unless form.valid?

            workroom.came_in.note(entry.id, **form.values)
            redirect to("/jobs/#{number(id)}/treatments/#{entry.id}/came-in"), 303
          rescue Store::Full
            came_in(id, treatment, status: 422, problem: :notes_full, typed: form.typed)
          end

          def photograph(id, treatment)
            entry = altered(sheet(id), treatment)
            file = params["file"]
            bytes = (file.is_a?(Hash) && file[:tempfile].respond_to?(:read)) ? file[:tempfile].read : ""
            encoded = Documents::Photograph.encode(bytes)
            workroom.came_in.add_photograph(
              entry.id,
              encoded.bytes,
              width: encoded.width,
              height: encoded.height,
              words: params["words"].to_s.strip[0, 200]
            )
            redirect to("/jobs/#{number(id)}/treatments/#{entry.id}/came-in"), 303
          rescue Documents::Photograph::NotOne, Store::Full => refused
            came_in(
              id,
              treatment,
              status: 422,
              problem: refused.is_a?(Store::Full) ? :photographs_full : :no_photograph
            )
          end

          def changed_in(id, treatment)
            yield altered(sheet(id), treatment).id
            redirect to("/jobs/#{number(id)}/treatments/#{number(treatment)}/came-in"), 303
          end
        end
      end
    end
  end
end
