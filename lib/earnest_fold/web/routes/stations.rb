# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The stations of a work at which fields are filled in, changed field by field, each from what was seen in it; and
      # what was changed there.
      class Stations < Handler
        include Showing

        open_to Access::AT_JOB
        get Paths.work(*WORK, "changes"), :changes
        post Paths.work(*WORK, "take-back"), :take_back
        post Paths.work(*WORK, "answer"), :answer
        get Paths.work(*WORK, "compare"), :compare
        get Paths.work(*WORK, "near"), :near
        get Paths.station(*WORK, ":filled"), :show, filled: true
        post Paths.station(*WORK, ":filled"), :save, filled: true

        def changes(id, treatment)
          job = sheet(id)
          entry = job.work(number(treatment))
          page(:changes, Screens::Changes.new(job, entry, workroom.treatments.changes(entry.id)))
        end

        def compare(id, treatment)
          job = sheet(id)
          page(:desk, Screens::Compare.new(job, job.made(number(treatment))))
        end

        # How near it is to another answer.
        def near(id, treatment)
          job = sheet(id)
          page(:near, Screens::Cloth.new(job, job.made(number(treatment))))
        end

        def show(id, treatment, station)
          job = sheet(id)
          entry = job.work(number(treatment))
          page(:desk, looked_at(Screens::StationScreens.of(station, entry), job, entry))
        end

        def save(id, treatment, station)
          merged do
            job = desk_sheet(id)
            entry = job.work(number(treatment))
            read = meant_reading(entry)
            form = Forms::TreatmentForm.new(
              job,
              entry,
              with_rule(job, entry).merge(read ? {read.path => read.length} : {}),
              unit_shown(job),
              shown_spec: spec_shown(entry)
            )
            job = kept(job, entry, form, read) if form.changed? || (read && form.valid?)
            screen = Screens::StationScreens.near(station, entry)
            again(screen, job, entry.id, form, touched: seen_whole?(entry) ? touched(form, entry) : nil)
          end
        end

        # Takes the last change back.
        def take_back(id, treatment)
          job = sheet(id)
          entry = job.work(number(treatment))
          screen = Screens::StationScreens.near(params["station"], entry)
          return stale(screen, job, entry) unless seen?(entry.record.version)

          workroom.treatments.take_back(entry.id, version: entry.record.version)
          again(screen, sheet(id), entry.id)
        rescue Store::Stale
          job = sheet(id)
          stale(screen, job, job.work(entry.id))
        end

        # Keeps the answer to a question with the treatment; where somebody answered it meanwhile, theirs is shown.
        def answer(id, treatment)
          merged do
            job = sheet(id)
            entry = job.work(number(treatment))
            screen = Screens::StationScreens.near(params["station"], entry)
            form = Forms::AnswerForm.new(entry.record, params)
            next stale(screen, job, entry) if form.answered?

            workroom.treatments.update(entry.id, form.spec, version: entry.record.version) if form.valid?
            again(screen, sheet(id), entry.id)
          end
        end

        private

        def journal = request.env[JournalAnswers::ASKED]

        # @return [Boolean] whether a page's journal asks, and its page shows everything as it was just before
        def seen_whole?(entry) = !journal.nil? && seen?(entry.record.version)

        # Where something stopped the work may look otherwise too.
        def touched(form, entry) = form.touched&.union(entry.checks.flat_map(&:at))

        # @return [Hash, nil] the spec that the page showed, by its version; nil where nobody has kept it
        def spec_shown(entry)
          return entry.record.spec if seen?(entry.record.version)

          version = params["version"].to_s[/\A\d{1,9}\z/]
          version && workroom.treatments.at_version(entry.id, Integer(version, 10))
        end

        # A reading that waits, and the length here that takes it.
        Meant = Reckoning::Value.define(:id, :path, :length)

        # @return [Meant, nil] nil where none was meant, somebody took it meanwhile, or there is no such length
        def meant_reading(entry)
          id, path = params["take_reading"].to_s.match(/\A(\d{1,9}) ([\w.]{1,80})\z/)&.captures
          return unless id && Work::Metering.new(entry, waiting: [], taken: []).places.include?(path)

          reading = workroom.meter_readings.find(who.person_id, number(id))
          reading && Meant.new(id: reading.id, path: path, length: reading.length)
        end

        # Taken and kept at once, or neither.
        # @param read [Meant, nil] that is taken with it
        def kept(job, entry, form, read)
          return written(job, entry, form) unless read

          workroom.transaction do
            workroom.meter_readings.take(who.person_id, read.id, entry.id, read.path)
            form.changed? ? written(job, entry, form) : job
          end
        end

        def written(job, entry, form) =
          job.with(workroom.treatments.update(entry.id, form.spec, version: entry.record.version), form.read)

        # What was typed; a field sent back to the house's rule says what the rule says.
        def with_rule(job, entry)
          path = params["back_to_rule"]
          return params unless path.is_a?(String) && Forms::RuleSetForm.ruled?(path)

          text = Ruled.new(job.rule_set(entry), entry.record.spec, unit_shown(job), tape: job.tape(entry)).text(path)
          text ? params.merge(path => text) : params
        end

        # @param job [Work::Job] as it is by now
        # @param form [Forms::TreatmentForm, nil] with what could not be taken
        def again(screen, job, treatment, form = nil, touched: nil)
          taken = form.nil? || form.valid?
          place = Paths.station(job.job.id, treatment, screen::STATION)
          return go(place) if taken && (!htmx? || screen == Screens::Cutting)

          headers("content-location" => place)
          # The page has more to send, and shows the last answer alone.
          halt 204 if taken && journal == JournalAnswers::MORE

          desk(screen, job, treatment, form, touched: touched)
        rescue NoMethodError, ArgumentError, TypeError, KeyError, ZeroDivisionError => fault
          # A fault of ours at this one: what was typed is kept all the same, and it is shown as such.
          RequestLog.note("work #{treatment} can't be shown", fault)
          desk(screen, job.sound, treatment, form)
        end

        def desk(screen, job, treatment, form, touched: nil)
          shown = looked_at(screen, job, job.work(treatment), form: form, told: told(job, form), touched: touched)
          page(:desk, shown, status: form ? status_of(form) : 200)
        end

        # What a set of rules or a method brings with it is said: it settles more than the station shows.
        def told(job, form)
          brought = Forms::TreatmentForm::BRINGING.select { |path| form&.changed_to?(path) }
          return [] if brought.empty?

          differences = Differences.new(job)
          lines = differences.between(form.before, form.spec).reject { |line| brought.include?(line.path) }
          lines + differences.minutes(*[form.before, form.spec].map { |spec| job.minutes(form.entry.id, spec) })
        end

        def stale(screen, job, entry) =
          page(:desk, looked_at(screen, job, entry, notice: :changed_elsewhere), status: 409)

        def looked_at(screen, job, entry, **more) = shown(screen, job, entry, part: params["part"], **more)
      end
    end
  end
end
