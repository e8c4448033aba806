# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The stations of a treatment.
      module Treatments
        def self.registered(app)
          app.helpers(Desk)
          stations(app)
          changes(app)
        end

        def self.changes(app)
          app.get("/jobs/:id/treatments/:treatment/changes") do |id, treatment|
            job = sheet(id)
            entry = job.fetch(number(treatment))
            page(:changes, Screens::Changes.new(job, entry, workroom.treatments.changes(entry.id)))
          end

          app.post("/jobs/:id/treatments/:treatment/take-back") { |id, treatment| take_back(id, number(treatment)) }

          app.post("/jobs/:id/treatments/:treatment/answer") { |id, treatment| answer(id, number(treatment)) }
        end

        def self.stations(app)
          app.get("/jobs/:id/treatments/:treatment/compare") do |id, treatment|
            job = sheet(id)
            page(:desk, Screens::Compare.new(job, job.fetch_made(number(treatment))))
          end

          StationScreens::FILLED.each do |station|
            app.get("/jobs/:id/treatments/:treatment/#{station}") do |id, treatment|
              job = sheet(id)
              entry = job.fetch(number(treatment))
              page(:desk, screen_of(StationScreens.of(station, entry), job, entry))
            end

            app.post("/jobs/:id/treatments/:treatment/#{station}") do |id, treatment|
              save(station, id, number(treatment))
            end
          end
        end

        # Changing a treatment: field by field, each from what was seen in it.
        module Desk
          # @param station [String]
          def save(station, id, treatment)
            merged do
              job = desk_sheet(id)
              entry = job.fetch(treatment)
              screen = StationScreens.near(station, entry)
              form = Forms::TreatmentForm.new(
                job,
                entry,
                screen.paths(entry.record.spec),
                typed(job, entry),
                unit_shown(job),
                shown_spec: spec_shown(entry)
              )
              if form.changed?
                job = job.with(
                  workroom.treatments.update(treatment, form.spec, version: entry.record.version),
                  form.read
                )
              end
              shown_again(screen, job, treatment, form, touched: seen_whole?(entry) ? form.touched : nil)
            end
          end

          # @return [Boolean] whether a page's journal asks, and its page shows everything as it was just before
          def seen_whole?(entry) =
            !request.env[JournalAnswers::ASKED].nil? && params["version"] == entry.record.version.to_s

          # @return [Hash, nil] the spec that the page showed, by its version; nil where nobody has kept it
          def spec_shown(entry)
            return entry.record.spec if params["version"] == entry.record.version.to_s

            if params["version"].to_s.match?(/\A\d{1,9}\z/)
              workroom.treatments.at_version(entry.id, Integer(params["version"], 10))
            end
          end

          # What was typed; a field sent back to the house's rule says what the rule says.
          def typed(job, entry)
            path = params["back_to_rule"]
            return params unless path.is_a?(String) && Forms::RuleSetForm.ruled?(path)

            text = Ruled.new(job.rule_set(entry), entry.record.spec, unit_shown(job)).text(path)
            text ? params.merge(path => text) : params
          end

          # Takes the last change back.
          def take_back(id, treatment)
            with_version(params["station"], id, treatment) do |_, entry, screen|
              workroom.treatments.take_back(treatment, version: entry.record.version)
              shown_again(screen, sheet(id), treatment)
            end
          end

          # Keeps the answer to a question with the treatment; where somebody answered it meanwhile, theirs is shown.
          def answer(id, treatment)
            merged do
              job = sheet(id)
              entry = job.fetch(treatment)
              screen = StationScreens.near(params["station"], entry)
              form = Forms::AnswerForm.new(entry.record, params)
              next stale(screen, job, entry) if form.answered?

              workroom.treatments.update(treatment, form.spec, version: entry.record.version) if form.valid?
              shown_again(screen, sheet(id), treatment)
            end
          end

          # Where someone else was here in between, before or just now, what they left is shown, and said.
          # @param station [String, nil]
          # @yieldparam screen [Class] of the station, for such work
          def with_version(station, id, treatment)
            job = sheet(id)
            entry = job.fetch(treatment)
            screen = StationScreens.near(station, entry)
            return stale(screen, job, entry) unless params["version"] == entry.record.version.to_s

            yield job, entry, screen
          rescue Store::Stale
            job = sheet(id)
            stale(screen, job, job.fetch(treatment))
          end

          # @param job [Work::Job] as it is by now
          # @param form [Forms::TreatmentForm, nil] with what could not be taken
          def shown_again(screen, job, treatment, form = nil, touched: nil)
            taken = form.nil? || form.valid?
            place = "/jobs/#{job.job.id}/treatments/#{treatment}/#{screen::STATION}"
            return redirect(to(place), 303) if taken && (!htmx? || screen == Screens::Cutting)

            headers "content-location" => place
            # The page has more to send, and shows the last answer alone.
            halt 204 if taken && request.env[JournalAnswers::ASKED] == JournalAnswers::MORE

            desk(screen, job, treatment, form, touched: touched)
          rescue NoMethodError, ArgumentError, TypeError, KeyError, ZeroDivisionError => fault
            # A fault of ours at this one: what was typed is kept all the same, and it is shown as such.
            RequestLog.note("work #{treatment} can't be shown", fault)
            desk(screen, job.sound, treatment, form)
          end

          def desk(screen, job, treatment, form, touched: nil)
            page(
              :desk,
              screen_of(screen, job, job.fetch(treatment), form: form, told: told(job, form), touched: touched),
              status: form ? status_of(form) : 200
            )
          end

          # What a set of rules brings with it is said: it settles more than the station shows.
          def told(job, form)
            return [] unless form&.changed_to?("rules")

            Differences.new(job).between(form.before, form.spec).reject { |line| line.path == "rules" }
          end

          def stale(screen, job, entry) =
            page(:desk, screen_of(screen, job, entry, notice: :changed_elsewhere), status: 409)

          # Cutting looks at more than the treatment, and somebody's own curtain is looked at as it came in.
          def screen_of(screen, job, entry, **shown)
            more = (screen == Screens::Cutting) ? {cutting: Work::Cutting.of(job, workroom)} : {}
            more = {notes: workroom.came_in.notes(entry.id)} if [Screens::AlterMeasure, Screens::Alter].include?(screen)
            screen.new(job, entry, part: params["part"], log: job.cautions(entry), **more, **shown)
          end

          def unit_shown(job) = Reckoning::Units::ALL.key?(params["unit"]) ? job.house.unit(params["unit"]) : job.unit
        end
      end
    end
  end
end
