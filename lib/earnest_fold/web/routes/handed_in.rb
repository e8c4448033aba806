# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What others hand in by a key of their own, without a session: what distance meters read, and letters that came
      # back.
      class HandedIn < Handler
        KEY = /\ABearer (\S{1,200})\z/
        # A shorter one could be guessed.
        LEAST_KEY = 20

        open_to Access::OPEN
        post Paths.readings, :read
        post Paths.bounced, :came_back

        # A meter's key says whose it is.
        def read
          room, meter = key && Store::Joining.meter(key)
          return told(401, "no_key") unless meter

          taken(room, meter, request.body.read(Documents::MeterReport::LARGEST).to_s)
        end

        # A mail server's key is the house's (BOUNCE_KEY); without one, nobody hands letters in.
        def came_back
          return told(401, "no_key") unless mail_server?

          bounce = Documents::Bounce.read(request.body.read(Documents::Bounce::LARGEST).to_s)
          return told(422, "no_bounce") unless bounce

          found = Store::Workroom.new(bounce.workroom_id).letters.came_back(bounce.letter_id)
          noted(:letter_came_back, workroom: bounce.workroom_id, letter: bounce.letter_id, found: found)
          told(found ? 201 : 200, found ? "bounced" : "no_letter")
        end

        private

        def key = request.env["HTTP_AUTHORIZATION"].to_s[KEY, 1]

        def mail_server?
          ours = @app.settings.bounce_key.to_s
          ours.size >= LEAST_KEY && !key.nil? && Rack::Utils.secure_compare(key, ours)
        end

        def taken(room, meter, text)
          report = Documents::MeterReport.read(text)
          fresh = room.meter_readings.arrived(meter.person_id, report.length, meter: meter, press: report.press)
          told(fresh ? 201 : 200, fresh ? "waits" : "here")
        rescue Reckoning::Invalid => invalid
          problem = invalid.problems.first
          room.meter_readings.refused(meter.person_id, text, problem.code.to_s, meter: meter)
          answered(422, Words.problem(problem))
        rescue Store::Full
          told(429, "too_many")
        end

        # @param words [String] of handed_in
        def told(status, words) = answered(status, Words.say("handed_in.#{words}"))

        def answered(status, words)
          content_type(:json)
          halt(status, Documents::MeterReport.answer(words))
        end
      end
    end
  end
end
