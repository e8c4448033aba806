# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The stations of a treatment.
      module Treatments
        SCREENS = {"measure" => Screens::Measure, "heading" => Screens::Heading, "cloth" => Screens::Cloth, "cutting" => Screens::Cutting, "making" => Screens::Making, "hanging" => Screens::Hanging}.freeze

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
            page(:desk, Screens::Compare.new(job, job.fetch(number(treatment))))
          end

          SCREENS.slice("measure", "heading", "cloth").each do |station, screen|
            app.get("/jobs/:id/treatments/:treatment/#{station}") do |id, treatment|
              job = sheet(id)
              page(:desk, screen.new(job, job.fetch(number(treatment)), part: params["part"]))
            end

            app.post("/jobs/:id/treatments/:treatment/#{station}") { |id, treatment| save(screen, id, number(treatment)) }
          end
        end

        # Changing a treatment, each time from the version that was shown.
        module Desk
          # @param screen [Class] of the station
          def save(screen, id, treatment)
            with_version(screen, id, treatment) do |job, entry|
              form = Forms::TreatmentForm.new(job, entry.record, screen.paths(entry.record.spec), typed(job, entry), unit_shown(job))
              workroom.treatments.update(treatment, form.spec, version: entry.record.version) if form.changed?
              shown_again(screen, id, treatment, form)
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
            with_version(station_shown, id, treatment) do |_, entry|
              workroom.treatments.take_back(treatment, version: entry.record.version)
              shown_again(station_shown, id, treatment)
            end
          end

          # Keeps the answer to a question with the treatment.
          def answer(id, treatment)
            with_version(station_shown, id, treatment) do |_, entry|
              form = Forms::AnswerForm.new(entry.record, params)
              workroom.treatments.update(treatment, form.spec, version: entry.record.version) if form.valid?
              shown_again(station_shown, id, treatment)
            end
          end

          # Where someone else was here in between, before or just now, what they left is shown, and said.
          def with_version(screen, id, treatment)
            job = sheet(id)
            entry = job.fetch(treatment)
            return stale(screen, job, entry) unless params["version"] == entry.record.version.to_s

            yield job, entry
          rescue Store::Stale
            job = sheet(id)
            stale(screen, job, job.fetch(treatment))
          end

          # @param form [Forms::TreatmentForm, nil] with what could not be taken
          def shown_again(screen, id, treatment, form = nil)
            taken = form.nil? || form.valid?
            return redirect(to("/jobs/#{number(id)}/treatments/#{treatment}/#{screen::STATION}"), 303) if taken && (!htmx? || screen == Screens::Cutting)

            job = sheet(id)
            page(:desk, screen_of(screen, job, job.fetch(treatment), form: form), status: taken ? 200 : 422)
          end

          def stale(screen, job, entry)
            shown = params["version"].to_s.match?(/\A\d{1,9}\z/) ? workroom.treatments.at_version(entry.id, Integer(params["version"], 10)) : nil
            versions = Forms::Versions.new(entry.record.spec, shown, screen.paths(entry.record.spec), params, unit_shown(job))
            page(:desk, screen_of(screen, job, entry, notice: :changed_elsewhere, versions: versions), status: 409)
          end

          # The Cutting station looks at more than the treatment.
          def screen_of(screen, job, entry, **shown)
            cutting = (screen == Screens::Cutting) ? {cutting: CuttingSheet.of(job, workroom)} : {}
            screen.new(job, entry, part: params["part"], **cutting, **shown)
          end

          def station_shown = SCREENS.fetch(params["station"], Screens::Measure)

          def unit_shown(job) = Reckoning::Units::ALL.key?(params["unit"]) ? job.house.unit(params["unit"]) : job.unit
        end
      end
    end
  end
end
