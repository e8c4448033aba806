# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What was made, how long it took, and what was learnt.
      module Logbook
        PLACE = "/jobs/:id/treatments/:treatment/log"

        def self.registered(app)
          app.helpers(Learning)
          app.get("/logbook") { page(:logbook, Screens::Logbook.new(Work::Logbook.whole(workroom, house), house)) }
          app.post("/logbook/times") { settle_time }
          app.get(PLACE) { |id, treatment| page(:log_work, Screens::LogWork.new(logged(id, treatment))) }
          app.post(PLACE) { |id, treatment| keep_log(id, treatment) }
          papers(app)
        end

        def self.papers(app)
          {"csv" => ["text/csv", :csv], "json" => ["application/json", :json]}.each do |ending, (type, made)|
            app.get("/logbook.#{ending}") do
              content_type type
              attachment "logbook.#{ending}"
              Documents::LogList.new(LogPapers.new(Work::Logbook.whole(workroom, house)).rows).public_send(made)
            end
          end
        end

        # Learning, and putting right.
        module Learning
          # @return [Work::Logbook::Work]
          def logged(id, treatment)
            job = workroom.jobs.find(number(id))
            own = number(treatment)
            log = Work::Logbook.of(workroom, house, [job], only: own)
            log.of(own) || raise(Store::Missing, "nothing made yet")
          end

          def keep_log(id, treatment)
            work = logged(id, treatment)
            form = Forms::LogForm.new(work, params)
            unless form.valid?
              return page(:log_work, Screens::LogWork.new(work, problem: form.problem, typed: form.typed), status: 422)
            end

            if form.time?
              workroom.bench.say(
                work.entry.id,
                form.step.code,
                form.step.curtain.to_s,
                "corrected",
                value: form.minutes
              )
            else
              workroom.logbook.note(work.entry.id, **form.note)
            end
            redirect to("/jobs/#{number(id)}/treatments/#{work.entry.id}/log"), 303
          end

          # What was learnt becomes the standard, or is declined until there are more jobs.
          def settle_time
            learnt = Work::Logbook.whole(workroom, house).learnt.find { |one| one.name.to_s == params["name"] } or
              raise Store::Missing, "nothing learnt"
            stored = house.stored
            rules = if params["take"] == "yes"
              stored.merge(
                "times" => stored.fetch("times", {}).merge(learnt.name.to_s => Words.number(learnt.learnt, 2))
              )
            else
              stored.merge("declined" => stored.fetch("declined", {}).merge(learnt.name.to_s => learnt.jobs))
            end
            workroom.house.update(version: seen(house.version), rules: rules)
            redirect to("/logbook"), 303
          rescue Store::Stale
            page(
              :logbook,
              Screens::Logbook.new(
                Work::Logbook.whole(workroom, workroom.house.read),
                workroom.house.read,
                notice: :house_changed_elsewhere
              ),
              status: 409
            )
          end
        end
      end
    end
  end
end
