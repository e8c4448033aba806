# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Making, step by step, and hanging.
      module Bench
        def self.registered(app)
          app.helpers(Saying)
          app.get("/jobs/:id/treatments/:treatment/making") { |id, treatment| making("making", id, treatment, :desk) }
          app.get("/jobs/:id/treatments/:treatment/bench") do |id, treatment|
            making("bench", id, treatment, :bench, asked: step_asked)
          end

          app.get("/jobs/:id/treatments/:treatment/hanging") { |id, treatment| making("hanging", id, treatment, :desk) }
          app.post("/jobs/:id/treatments/:treatment/hanging") { |id, treatment| say_hanging(id, treatment) }
          app.post("/jobs/:id/treatments/:treatment/seen-to") { |id, treatment| seen_to(id, number(treatment)) }

          app.post("/jobs/:id/treatments/:treatment/bench") { |id, treatment| say_at_bench(id, number(treatment)) }
        end

        # What is said at the bench.
        module Saying
          SAID = %w[done undone started stopped].freeze
          # Where somebody came from, on these pages.
          BACK = %r{\A/jobs/\d+/[\w/-]+(\?\w+=\d+)?\z}

          def making(station, id, treatment, view, status: 200, **more)
            job = sheet(id)
            entry = job.fetch(number(treatment))
            room = (station == "making") ? {room: workroom.bench.readings(job.job.id), last_time: last_time(entry)} : {}
            shown = StationScreens.of(station, entry).new(
              job,
              entry,
              log: Work::BenchLog.new(workroom.bench.entries(entry.id)),
              **room,
              **more
            )
            raise Store::Missing, "no steps yet" if view == :bench && shown.steps.empty?

            page(view, shown, status: status)
          end

          # What was learnt last of other work with the same cloth.
          def last_time(entry) =
            entry.record.spec["face"] && workroom.logbook.last_with(entry.record.spec["face"], except: entry.id)

          # A caution is ticked, and stands there all the same.
          def seen_to(id, treatment)
            entry = sheet(id).fetch(treatment)
            rule = Reckoning::Judgement::Rules[params["code"].to_s]
            raise Store::Missing, "no such caution" unless rule && rule::MANNER == :caution

            workroom.bench.say(entry.id, "#{Store::Bench::CAUTION}#{rule::CODE}", "", "done")
            back = params["back"].to_s
            back = "/jobs/#{number(id)}/treatments/#{treatment}/making" unless BACK.match?(back)
            redirect to(back), 303
          end

          # @return [Array(String, String)] the name of the step that was asked for
          def step_asked = [params["step"].to_s, params["curtain"].to_s]

          # What is said is said of a step by its name: where the order of work was changed meanwhile it stays with
          # that step.
          def say_at_bench(id, treatment)
            job = sheet(id)
            entry = job.fetch(treatment)
            raise Store::Missing, "no step #{step_asked.join(" ")}" unless entry.step_known?(*step_asked)
            if params["said"] == "measured"
              return measured(id, treatment, StationScreens.of("bench", entry).new(job, entry, asked: step_asked))
            end
            raise Store::Missing, "nothing said" unless SAID.include?(params["said"])

            if params["said"] == "started" && (running = other_clock(treatment, step_asked))
              return making("bench", id, treatment.to_s, :bench, status: 422, asked: step_asked, clock: running)
            end

            workroom.bench.say(treatment, *step_asked, params["said"])
            on = "?#{step_address}" unless params["said"] == "done"
            redirect to("/jobs/#{number(id)}/treatments/#{treatment}/bench#{on}"), 303
          end

          def step_address = URI.encode_www_form(%w[step curtain].zip(step_asked).reject { |_, value| value.empty? })

          # That it hangs, or what was measured of a curtain as it does.
          def say_hanging(id, treatment)
            job = sheet(id)
            entry = job.fetch(number(treatment))
            return hung(id, entry) if %w[done undone].include?(params["said"])
            raise Store::Missing, "nothing said" unless params["said"] == "measured" && entry.reckoning

            hand = params["curtain"].to_s
            form = Forms::MeasureForm.new(
              StationScreens.of("hanging", entry).new(job, entry).final_of(hand).check,
              params,
              job.unit
            )
            return making("hanging", id, treatment, :desk, status: 422, measure: form, of: hand) unless form.valid?

            form.values.each do |place, typed|
              workroom.bench.say(entry.id, Store::Bench::HUNG, hand, "measured", value: typed, place: place)
            end
            redirect to("/jobs/#{number(id)}/treatments/#{entry.id}/hanging"), 303
          end

          def hung(id, entry)
            workroom.bench.say(entry.id, Store::Bench::HUNG, "", params["said"])
            redirect to("/jobs/#{number(id)}/treatments/#{entry.id}/hanging"), 303
          end

          # A clock of this person's that runs elsewhere: two at once would count the same minutes twice. One of half
          # a day ago was forgotten.
          def other_clock(treatment, step)
            workroom
              .bench
              .running(Time.now - 12 * 3600)
              .find { |own, entry| [own, entry.step, entry.curtain] != [treatment, *step] }
          end

          # What was measured, at each place where the step asks for it; nothing is kept where any of it can't be read.
          def measured(id, treatment, shown)
            form = Forms::MeasureForm.new((shown.step if shown.step.name == step_asked)&.check, params, shown.unit)
            unless form.valid?
              return making("bench", id, treatment.to_s, :bench, status: 422, asked: step_asked, form: form)
            end

            form.values.each do |place, typed|
              workroom.bench.say(treatment, *step_asked, "measured", value: typed, place: place)
            end
            redirect to("/jobs/#{number(id)}/treatments/#{treatment}/bench?#{step_address}"), 303
          end
        end
      end
    end
  end
end
