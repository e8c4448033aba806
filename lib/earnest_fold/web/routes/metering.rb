# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Distance meters: what they send, what is proposed of it at Measure, and whose they are.
      class Metering < Handler
        include Showing

        # Under these a session carries a meter's key, told once, and the unit that a meter types in.
        KEY, TYPES_IN = "meter_key", "meter_types_in"
        LONGEST_NAME = 60

        open_to Access::AT_JOB
        get Paths.readings_at(*WORK), :show
        post Paths.readings_at(*WORK), :typed
        post Paths.readings_at(*WORK, "seen"), :seen_refused
        post Paths.readings_at(*WORK, ":reading/aside"), :lay_aside
        post Paths.your_meters, :connect
        post Paths.your_meters(":meter/away"), :away

        # Asked for again and again: nothing is sent while nothing changed.
        def show(id, treatment)
          screen = metering(id, treatment)
          halt(204) if params["state"] == screen.state

          strip(screen)
        end

        def typed(id, treatment)
          form = Forms::TypedReadingForm.new(params)
          return strip(metering(id, treatment, form: form), status: 422) unless form.valid?

          session[TYPES_IN] = form.unit
          waiting.arrived(who.person_id, form.length)
          strip(metering(id, treatment))
        rescue Store::Full
          full = Forms::TypedReadingForm.new(params, problem: :full)
          strip(metering(id, treatment, form: full), status: 422)
        end

        def lay_aside(id, treatment, reading)
          waiting.lay_aside(who.person_id, number(reading))
          strip(metering(id, treatment))
        end

        def seen_refused(id, treatment)
          waiting.seen(who.person_id)
          strip(metering(id, treatment))
        end

        # The key is told once: only its print is kept.
        def connect
          name = params["name"].to_s.strip[0, LONGEST_NAME]
          session[KEY] = workroom.meters.connect(who.person_id, name.empty? ? Words.say("meter.unnamed") : name)
          noted(:meter_connected, person: who.person_id)
          go("#{Paths.you}#meters")
        end

        def away(meter)
          workroom.meters.away(who.person_id, number(meter))
          noted(:meter_away, person: who.person_id)
          go("#{Paths.you}#meters")
        end

        private

        # It stands at Measure, and nowhere by itself.
        def strip(screen, status: 200) = htmx? ? page(:_metering, screen, status: status) : go(screen.station)

        def waiting = workroom.meter_readings

        def metering(id, treatment, **more)
          job = desk_sheet(id)
          entry, mine = job.work(number(treatment)), who.person_id
          made = Work::Metering.new(entry, waiting: waiting.waiting(mine), taken: waiting.taken(entry.id))
          Screens::Metering.new(
            job,
            entry,
            made,
            unit_shown(job),
            types_in: session[TYPES_IN],
            meters: workroom.meters.of(mine),
            refused: waiting.turned_away(mine),
            **more
          )
        end
      end
    end
  end
end
