# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Making, step by step, and hanging.
      class Bench < Handler
        include Showing

        SAID = %w[done undone started stopped].freeze
        # A clock of half a day ago was forgotten.
        FORGOTTEN = 12 * 3600

        open_to Access.station("bench")
        get Paths.station(*WORK, "making"), :making
        get Paths.bench(*WORK), :bench
        post Paths.bench(*WORK), :say
        get Paths.station(*WORK, "hanging"), :hanging
        post Paths.station(*WORK, "hanging"), :say_hanging
        post Paths.work(*WORK, "seen-to"), :seen_to

        def making(id, treatment) = station("making", :desk, id, treatment)

        def hanging(id, treatment, **more) = station("hanging", :desk, id, treatment, **more)

        # Where nothing can be made yet, or can't any more, Making says what is wanting.
        def bench(id, treatment, **more)
          station("bench", :bench, id, treatment, asked: step_asked, **more) do |shown|
            go(Paths.station(number(id), shown.entry.id, "making")) if shown.steps.empty?
          end
        end

        # A caution is ticked, and stands there all the same.
        def seen_to(id, treatment)
          entry = sheet(id).work(number(treatment))
          rule = Reckoning::Judgement::Rules[params["code"].to_s]
          raise Store::Missing, "no such caution" unless rule&.manner == :caution

          workroom.bench.say(entry.id, "#{Store::Bench::CAUTION}#{rule.code}", "", "done")
          go(Paths.back_to_job(params["back"]) || Paths.station(number(id), entry.id, "making"))
        end

        # What is said is said of a step by its name: where the order of work was changed meanwhile it stays with
        # that step.
        def say(id, treatment)
          job = sheet(id)
          entry = job.work(number(treatment))
          raise Store::Missing, "no step #{step_asked.join(" ")}" unless entry.step_known?(*step_asked)
          return measured(id, job, entry) if params["said"] == "measured"
          raise Store::Missing, "nothing said" unless SAID.include?(params["said"])

          running = other_clock(entry.id) if params["said"] == "started"
          return bench(id, treatment, status: 422, clock: running) if running

          workroom.bench.say(entry.id, *step_asked, params["said"])
          go(Paths.bench(number(id), entry.id, (step_asked unless done_with?(entry))))
        end

        # That it hangs, or what was measured of a curtain as it does.
        def say_hanging(id, treatment)
          job = sheet(id)
          entry = job.work(number(treatment))
          return hung(id, entry) if %w[done undone].include?(params["said"])
          raise Store::Missing, "nothing said" unless params["said"] == "measured" && entry.reckoning

          measured_hanging(id, job, entry, params["curtain"].to_s)
        end

        private

        # @return [Boolean] whether the last of a step is ticked: then the next one comes
        def done_with?(entry)
          step = entry.steps.find { |one| one.code == step_asked.first }
          params["said"] == "done" && (step.nil? || (step.names - entry.done - [step_asked]).empty?)
        end

        # @yieldparam shown [Screens::Desk] before it is
        def station(station, view, id, treatment, status: 200, **more)
          job = sheet(id)
          entry = job.work(number(treatment))
          shown = shown(Screens::StationScreens.of(station, entry), job, entry, **more)
          yield shown if block_given?
          page(view, shown, status: status)
        end

        # @return [Array(String, String)] the name of the step that was asked for
        def step_asked = [params["step"].to_s, params["curtain"].to_s]

        def hung(id, entry)
          workroom.bench.say(entry.id, Store::Bench::HUNG, "", params["said"])
          go(Paths.station(number(id), entry.id, "hanging"))
        end

        def measured_hanging(id, job, entry, hand)
          check = Screens::StationScreens.of("hanging", entry).new(job, entry).final_of(hand).check
          form = Forms::MeasureForm.new(check, params, job.unit)
          return hanging(id, entry.id.to_s, status: 422, measure: form, of: hand) unless form.valid?

          keep(form, entry, Store::Bench::HUNG, hand)
          go(Paths.station(number(id), entry.id, "hanging"))
        end

        # A clock of this person's that runs elsewhere: two at once would count the same minutes twice.
        def other_clock(treatment) =
          workroom
            .bench
            .running(Time.now - FORGOTTEN)
            .find { |own, entry| [own, entry.step] != [treatment, step_asked.first] }

        # What was measured of a curtain, at each place where the step asks for it; nothing is kept where any of it
        # can't be read.
        def measured(id, job, entry)
          check = entry.part(*step_asked)&.check
          form = Forms::MeasureForm.new(check, params, job.unit)
          return bench(id, entry.id.to_s, status: 422, form: form) unless form.valid?

          keep(form, entry, *step_asked)
          settle(id, entry.id, step_asked, form) if check.settles
          go(Paths.bench(number(id), entry.id, step_asked))
        end

        # What was measured may be a figure of the treatment from then on.
        def settle(id, treatment, name, form)
          merged do
            job = sheet(id)
            entry = job.work(treatment)
            spec = entry.settled_by(job, *name, form.values.values.last)
            workroom.treatments.update(entry.id, spec, version: entry.record.version) if spec
          end
        end

        def keep(form, entry, step, curtain)
          form.values.each do |place, typed|
            workroom.bench.say(entry.id, step, curtain, "measured", value: typed, place: place)
          end
        end
      end
    end
  end
end
