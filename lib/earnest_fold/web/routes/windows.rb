# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What is done with a job's windows and layers as wholes: named, copied, moved, put away.
      class Windows < Handler
        WAYS = {"before" => -1, "after" => 1}.freeze

        get Paths.place(*WORK), :place, to: Access::AT_JOB
        post Paths.place(*WORK), :rename, to: Access::AT_JOB
        post Paths.work(*WORK, "copy"), :copy
        post Paths.work(*WORK, "layer"), :add_layer
        post Paths.work(*WORK, "move"), :move
        post Paths.work(*WORK, "put-away"), :put_away, true
        post Paths.work(*WORK, "bring-back"), :put_away, false

        def place(id, treatment, status: 200, form: nil)
          job = sheet(id)
          entry = job.work(number(treatment))
          shown = Screens::Place.new(job, entry, open_stations, back: Paths.back_to_job(params["back"]), form: form)
          page(:place, shown, status: status)
        end

        def rename(id, treatment)
          merged do
            job = workroom.jobs.find(number(id))
            window = window_of(job, number(treatment))
            form = Forms::PlaceForm.new(window, params)
            next place(id, treatment, status: status_of(form), form: form) unless form.valid?

            workroom.windows(job.id).rename(window.id, **form.values, version: job.version)
            go(Paths.back_to_job(params["back"]) || Paths.job(job.id))
          end
        end

        def copy(id, treatment)
          window = sheet(id).work(number(treatment)).window
          title = window.name.empty? ? window.room : window.name
          made = workroom.windows(number(id)).copy(window, name: Words.say("job.copy_of", title: title))
          go(Paths.station(number(id), made, "measure"))
        end

        def add_layer(id, treatment)
          job = sheet(id)
          entry = job.made(number(treatment))
          form = Forms::LayerForm.new(job, entry, params)
          made = workroom.windows(number(id)).add_layer(entry.window, form.spec, behind: form.behind?)
          go(Paths.station(number(id), made, "measure"))
        end

        def move(id, treatment)
          entry = sheet(id).work(number(treatment))
          what, way = params["move"].to_s.split("-")
          by = WAYS.fetch(way) { raise Store::Missing, "no such way" }
          if what == "layer"
            workroom.windows(number(id)).move_layer(entry.window.id, entry.id, by: by)
          else
            workroom.windows(number(id)).move(entry.window.id, by: by)
          end
          go(Paths.job(number(id)))
        end

        # Nothing is thrown away.
        def put_away(away, id, treatment)
          job, own = workroom.jobs.find(number(id)), number(treatment)
          window_of(job, own)
          workroom.treatments.put_away(own, away)
          go(Paths.job(job.id))
        end

        private

        def window_of(job, treatment)
          job.windows.find { |window| window.treatments.any? { |record| record.id == treatment } } ||
            raise(Store::Missing, "no treatment #{treatment}")
        end
      end
    end
  end
end
