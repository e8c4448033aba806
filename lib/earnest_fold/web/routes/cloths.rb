# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The workroom's cloths.
      class Cloths < Handler
        COLOUR = "#c9d2bd"
        # Where a cloth is taken that was brought in for a window.
        FIELDS = {"face" => "face", "lining" => "lining.cloth", "interlining" => "interlining.cloth"}.freeze

        get Paths.cloths, :all
        get Paths.new_cloth, :blank
        get Paths.cloth(":id"), :show
        post Paths.cloths, :bring_in
        post Paths.cloth(":id"), :change

        def all = page(:cloths, Screens::Cloths.new(workroom.cloths.all, workroom_unit, pieces: workroom.shelf.all))

        def blank = new_one(Forms::ClothForm.new(fresh, COLOUR, nil, workroom_unit))

        def show(id)
          record = workroom.cloths.find(number(id))
          one(record, Forms::ClothForm.new(record.spec, record.colour, nil, workroom_unit))
        end

        def bring_in
          form = Forms::ClothForm.new(fresh, COLOUR, params, workroom_unit)
          return new_one(form, status: 422) unless form.valid?

          id = workroom.cloths.create(form.spec, colour: form.colour)
          station_asked ? taken_to_window(id, form.spec) : go(Paths.cloths)
        end

        def change(id)
          merged do
            record = workroom.cloths.find(number(id))
            form = Forms::ClothForm.new(record.spec, record.colour, params, workroom_unit, version: record.version)
            if form.problems.empty?
              workroom.cloths.update(record.id, form.spec, colour: form.colour, version: record.version)
            end
            next go(Paths.cloths) if form.valid?

            one(workroom.cloths.find(record.id), form, status: status_of(form))
          end
        end

        private

        def one(record, form, status: 200)
          used = {pieces: workroom.shelf.all(cloths: [record.id]), using: workroom.jobs.using(record.id)}
          page(:cloth, Screens::ClothForm.new(record, form, workroom_unit, **used), status: status)
        end

        # What a new cloth starts from.
        def fresh = {
          "use" => "face",
          "selvedge_in_seam" => house.rules.selvedges == "in_seam",
          "order_step" => Forms::SoldBy.usual(workroom_unit)
        }

        def new_one(form, status: 200)
          station = params["for"] if station_asked
          page(:cloth, Screens::ClothForm.new(nil, form, workroom_unit, station: station), status: status)
        end

        # @return [Array(String, String), nil] job and work of the Cloth station that one came from
        def station_asked = Paths.of_station(params["for"], "cloth")

        # It was brought in for a window: there it is taken, and there one goes back to.
        def taken_to_window(id, spec)
          job_id, treatment = station_asked
          merged do
            job = sheet(job_id)
            entry = job.made(number(treatment))
            form = Forms::TreatmentForm.new(job, entry, {FIELDS.fetch(spec["use"]) => id.to_s}, job.unit)
            workroom.treatments.update(entry.id, form.spec, version: entry.record.version) if form.changed?
            go(params["for"])
          end
        end
      end
    end
  end
end
