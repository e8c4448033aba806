# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Making, step by step, and hanging.
      module Bench
        def self.registered(app)
          app.helpers(Saying)
          app.get("/jobs/:id/treatments/:treatment/making") { |id, treatment| making(Screens::Making, id, treatment, :desk) }
          app.get("/jobs/:id/treatments/:treatment/bench") { |id, treatment| making(Screens::Bench, id, treatment, :bench, asked: params["step"]) }

          app.get("/jobs/:id/treatments/:treatment/hanging") { |id, treatment| making(Screens::Hanging, id, treatment, :desk) }
          app.post("/jobs/:id/treatments/:treatment/seen-to") { |id, treatment| seen_to(id, number(treatment)) }

          app.post("/jobs/:id/treatments/:treatment/bench") { |id, treatment| say_at_bench(id, number(treatment)) }
        end

        # What is said at the bench.
        module Saying
          SAID = %w[done undone started stopped].freeze

          def making(screen, id, treatment, view, status: 200, **more)
            job = sheet(id)
            entry = job.fetch(number(treatment))
            room = (screen == Screens::Making) ? {room: workroom.bench.readings(job.job.id)} : {}
            shown = screen.new(job, entry, log: BenchLog.new(workroom.bench.entries(entry.id)), **room, **more)
            raise Store::Missing, "no steps yet" if view == :bench && shown.steps.empty?

            page(view, shown, status: status)
          end

          # A caution is ticked, and stands there all the same.
          def seen_to(id, treatment)
            entry = sheet(id).fetch(treatment)
            rule = Reckoning::Judgement::Rules[params["code"].to_s]
            raise Store::Missing, "no such caution" unless rule && rule::MANNER == :caution

            workroom.bench.say(entry.id, "#{Store::Bench::CAUTION}#{rule::CODE}", "", "done")
            redirect to("/jobs/#{number(id)}/treatments/#{treatment}/#{%w[cutting hanging].include?(params["station"]) ? params["station"] : "making"}"), 303
          end

          def say_at_bench(id, treatment)
            job = sheet(id)
            shown = Screens::Bench.new(job, job.fetch(treatment), asked: params["step"])
            raise Store::Missing, "no step #{params["step"]}" unless shown.step&.number.to_s == params["step"].to_s
            return measured(id, treatment, shown) if params["said"] == "measured"
            raise Store::Missing, "nothing said" unless SAID.include?(params["said"])

            workroom.bench.say(treatment, shown.step.code, shown.step.curtain.to_s, params["said"])
            redirect to("/jobs/#{number(id)}/treatments/#{treatment}/bench#{"?step=#{params["step"]}" unless params["said"] == "done"}"), 303
          end

          def measured(id, treatment, shown)
            typed = params["value"].to_s.strip
            length = Reckoning::LengthReader.read(typed, shown.unit)
            if length.nil? || length.negative?
              problem = Reckoning::Problem.new(at: "value", code: :not_a_length, data: {})
              return making(Screens::Bench, id, treatment.to_s, :bench, status: 422, asked: params["step"], typed: typed, problem: problem)
            end

            workroom.bench.say(treatment, shown.step.code, shown.step.curtain.to_s, "measured", value: Reckoning::LengthReader.unit_named?(typed) ? typed : "#{typed} #{shown.unit.name}")
            redirect to("/jobs/#{number(id)}/treatments/#{treatment}/bench?step=#{params["step"]}"), 303
          end
        end
      end
    end
  end
end
