# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The workroom's cloths.
      module Cloths
        COLOUR = "#c9d2bd"

        def self.registered(app)
          app.helpers(Saving)
          app.get("/cloths") { page(:cloths, Screens::Cloths.new(workroom.cloths.all, workroom_unit)) }
          app.get("/cloths/new") do
            page(
              :cloth,
              Screens::ClothForm.new(
                nil,
                Forms::ClothForm.new(fresh, COLOUR, nil, workroom_unit),
                workroom_unit,
                station: station_asked
              )
            )
          end

          app.get("/cloths/:id") do |id|
            record = workroom.cloths.find(number(id))
            page(
              :cloth,
              Screens::ClothForm.new(
                record,
                Forms::ClothForm.new(record.spec, record.colour, nil, workroom_unit),
                workroom_unit
              )
            )
          end

          app.post("/cloths") do
            form = Forms::ClothForm.new(fresh, COLOUR, params, workroom_unit)
            unless form.valid?
              next page(:cloth, Screens::ClothForm.new(nil, form, workroom_unit, station: station_asked), status: 422)
            end

            id = workroom.cloths.create(form.spec, colour: form.colour)
            station_asked ? taken_to_window(id, form.spec) : redirect(to("/cloths"), 303)
          end

          app.post("/cloths/:id") do |id|
            merged do
              record = workroom.cloths.find(number(id))
              form = Forms::ClothForm.new(record.spec, record.colour, params, workroom_unit, version: record.version)
              if form.problems.empty?
                workroom.cloths.update(record.id, form.spec, colour: form.colour, version: record.version)
              end
              next redirect(to("/cloths"), 303) if form.valid?

              page(
                :cloth,
                Screens::ClothForm.new(workroom.cloths.find(record.id), form, workroom_unit),
                status: status_of(form)
              )
            end
          end
        end

        # What cloths start from, and where they go.
        module Saving
          # What a new cloth starts from.
          def fresh = {"use" => "face", "selvedge_in_seam" => house.rules.selvedges == "in_seam"}

          FIELDS = {"face" => "face", "lining" => "lining.cloth", "interlining" => "interlining.cloth"}.freeze

          # @return [String, nil] the Cloth station that one came from
          def station_asked = params["for"].to_s[%r{\A/jobs/\d{1,9}/treatments/\d{1,9}/cloth\z}]

          # It was brought in for a window: there it is taken, and there one goes back to.
          def taken_to_window(id, spec)
            job_id, treatment = station_asked.scan(/\d+/)
            merged do
              job = sheet(job_id)
              entry = job.fetch_made(number(treatment))
              field = FIELDS.fetch(spec["use"])
              form = Forms::TreatmentForm.new(job, entry, [field], {field => id.to_s}, job.unit)
              workroom.treatments.update(entry.id, form.spec, version: entry.record.version) if form.changed?
              redirect to(station_asked), 303
            end
          end

          def workroom_unit = house.rules.unit(house.unit)
        end
      end
    end
  end
end
