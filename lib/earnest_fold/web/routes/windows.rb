# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What is done with a job's windows and layers as wholes: copied, moved, put away.
      class Windows < Handler
        WAYS = {"before" => -1, "after" => 1}.freeze

        post Paths.work(*WORK, "copy"), :copy
        post Paths.work(*WORK, "layer"), :add_layer
        post Paths.work(*WORK, "move"), :move
        post Paths.work(*WORK, "put-away"), :put_away, true
        post Paths.work(*WORK, "bring-back"), :put_away, false

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
          raise Store::Missing, "no treatment #{own}" unless job.treatments.any? { |record| record.id == own }

          workroom.treatments.put_away(own, away)
          go(Paths.job(job.id))
        end
      end
    end
  end
end
