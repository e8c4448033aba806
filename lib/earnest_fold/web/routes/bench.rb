# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Making, step by step, and hanging.
      module Bench
        def self.registered(app)
          app.helpers(Saying)
          app.get("/jobs/:id/treatments/:treatment/making") { |id, treatment| making("making", id, treatment, :desk) }
          app.get("/jobs/:id/treatments/:treatment/bench") { |id, treatment| making("bench", id, treatment, :bench, asked: params["step"]) }

          app.get("/jobs/:id/treatments/:treatment/hanging") { |id, treatment| making("hanging", id, treatment, :desk) }
          app.post("/jobs/:id/treatments/:treatment/hanging") { |id, treatment| say_hanging(id, treatment) }
          app.post("/jobs/:id/treatments/:treatment/seen-to") { |id, treatment| seen_to(id, number(treatment)) }

          app.post("/jobs/:id/treatments/:treatment/bench") { |id, treatment| say_at_bench(id, number(treatment)) }
        end

        # What is said at the bench.
        module Saying
          SAID = %w[done undone started stopped].freeze

          def making(station, id, treatment, view, status: 200, **more)
            job = sheet(id)
            entry = job.fetch(number(treatment))
            room = (station == "making") ? {room: workroom.bench.readings(job.job.id), last_time: last_time(entry)} : {}
            shown = StationScreens.of(station, entry).new(job, entry, log: BenchLog.new(workroom.bench.entries(entry.id)), **room, **more)
            raise Store::Missing, "no steps yet" if view == :bench && shown.steps.empty?

            page(view, shown, status: status)
          end

          # What was learnt last of other work with the same cloth.
          def last_time(entry) = entry.record.spec["face"] && workroom.logbook.last_with(entry.record.spec["face"], except: entry.id)

          # A caution is ticked, and stands there all the same.
          def seen_to(id, treatment)
            entry = sheet(id).fetch(treatment)
            rule = Reckoning::Judgement::Rules[params["code"].to_s]
            raise Store::Missing, "no such caution" unless rule && rule::MANNER == :caution

            workroom.bench.say(entry.id, "#{Store::Bench::CAUTION}#{rule::CODE}", "", "done")
            redirect to(params["back"].to_s.match?(%r{\A/jobs/\d+/[\w/-]+(\?\w+=\d+)?\z}) ? params["back"] : "/jobs/#{number(id)}/treatments/#{treatment}/making"), 303
          end

          def say_at_bench(id, treatment)
            job = sheet(id)
            entry = job.fetch(treatment)
            shown = StationScreens.of("bench", entry).new(job, entry, asked: params["step"])
            raise Store::Missing, "no step #{params["step"]}" unless shown.step&.number.to_s == params["step"].to_s
            return measured(id, treatment, shown) if params["said"] == "measured"
            raise Store::Missing, "nothing said" unless SAID.include?(params["said"])

            if params["said"] == "started" && (running = other_clock(treatment, shown.step))
              return making("bench", id, treatment.to_s, :bench, status: 422, asked: params["step"], clock: running)
            end

            workroom.bench.say(treatment, shown.step.code, shown.step.curtain.to_s, params["said"])
            redirect to("/jobs/#{number(id)}/treatments/#{treatment}/bench#{"?step=#{params["step"]}" unless params["said"] == "done"}"), 303
          end

          # That it hangs, or what was measured of a curtain as it does.
          def say_hanging(id, treatment)
            job = sheet(id)
            entry = job.fetch(number(treatment))
            return hung(id, entry) if %w[done undone].include?(params["said"])
            raise Store::Missing, "nothing said" unless params["said"] == "measured" && entry.reckoning

            hand = params["curtain"].to_s
            form = Forms::MeasureForm.new(StationScreens.of("hanging", entry).new(job, entry).final_of(hand).check, params, job.unit)
            return making("hanging", id, treatment, :desk, status: 422, measure: form, of: hand) unless form.valid?

            form.values.each { |place, typed| workroom.bench.say(entry.id, Store::Bench::HUNG, hand, "measured", value: typed, place: place) }
            redirect to("/jobs/#{number(id)}/treatments/#{entry.id}/hanging"), 303
          end

          def hung(id, entry)
            workroom.bench.say(entry.id, Store::Bench::HUNG, "", params["said"])
            redirect to("/jobs/#{number(id)}/treatments/#{entry.id}/hanging"), 303
          end

          # A clock of this person's that runs elsewhere: two at once would count the same minutes twice. One of half a day ago was forgotten.
          def other_clock(treatment, step)
            workroom.bench.running(Time.now - 12 * 3600).find { |own, entry| [own, entry.step, entry.curtain] != [treatment, step.code, step.curtain.to_s] }
          end

          # What was measured, at each place where the step asks for it; nothing is kept where any of it can't be read.
          def measured(id, treatment, shown)
            form = Forms::MeasureForm.new(shown.step.check, params, shown.unit)
            unless form.valid?
              return making("bench", id, treatment.to_s, :bench, status: 422, asked: params["step"], form: form)
            end

            form.values.each { |place, typed| workroom.bench.say(treatment, shown.step.code, shown.step.curtain.to_s, "measured", value: typed, place: place) }
            redirect to("/jobs/#{number(id)}/treatments/#{treatment}/bench?step=#{params["step"]}"), 303
          end
        end
      end
    end
  end
end
