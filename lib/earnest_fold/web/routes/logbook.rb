# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What was made, how long it took, and what was learnt.
      class Logbook < Handler
        LISTS = {"csv" => "text/csv", "json" => "application/json"}.freeze
        get Paths.logbook, :show
        post Paths.standard_times, :settle_time
        get Paths.work(*WORK, "log"), :work, to: Access::AT_JOB
        post Paths.work(*WORK, "log"), :keep
        LISTS.each_key { |ending| get Paths.logbook_list(ending), :list, ending }

        def show(house = self.house, status: 200, **more) =
          page(:logbook, Screens::Logbook.new(Work::Logbook.whole(workroom, house), house, **more), status: status)

        def list(ending)
          sent_as(LISTS.fetch(ending), "logbook.#{ending}")
          rows = Documents::LogPapers.new(Work::Logbook.whole(workroom, house)).rows
          Documents::LogList.new(rows).public_send(ending)
        end

        def work(id, treatment) = page(:log_work, Screens::LogWork.new(logged(id, treatment)))

        def keep(id, treatment)
          work = logged(id, treatment)
          form = Forms::LogForm.new(work, params)
          unless form.valid?
            return page(:log_work, Screens::LogWork.new(work, problem: form.problem, typed: form.typed), status: 422)
          end

          form.time? ? correct(work.entry, form) : workroom.logbook.note(work.entry.id, **form.note)
          go(Paths.work(number(id), work.entry.id, "log"))
        end

        # What was learnt becomes the standard, or is declined until there are more jobs.
        def settle_time
          learnt = Work::Logbook.whole(workroom, house).learnt.find { |one| one.name.to_s == params["name"] } or
            raise Store::Missing, "nothing learnt"
          workroom.house.update(version: seen(house.version), rules: with_learnt(house.stored, learnt))
          go(Paths.logbook)
        rescue Store::Stale
          show(workroom.house.read, status: 409, notice: :house_changed_elsewhere)
        end

        private

        # @return [Work::Logbook::Work]
        def logged(id, treatment)
          job = workroom.jobs.find(number(id))
          own = number(treatment)
          Work::Logbook.of(workroom, house, [job], only: own).of(own) || raise(Store::Missing, "nothing made yet")
        end

        def correct(entry, form) =
          workroom.bench.say(entry.id, *form.step.name, "corrected", value: form.minutes)

        def with_learnt(stored, learnt)
          part, value = if params["take"] == "yes"
            ["times", Words.number(learnt.learnt, 2)]
          else
            ["declined", learnt.jobs]
          end
          stored.merge(part => stored.fetch(part, {}).merge(learnt.name.to_s => value))
        end
      end
    end
  end
end
