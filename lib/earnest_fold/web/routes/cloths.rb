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
          app.get("/cloths/new") { page(:cloth, Screens::ClothForm.new(nil, Forms::ClothForm.new(fresh, COLOUR, nil, workroom_unit), workroom_unit)) }

          app.get("/cloths/:id") do |id|
            record = workroom.cloths.find(number(id))
            page(:cloth, Screens::ClothForm.new(record, Forms::ClothForm.new(record.spec, record.colour, nil, workroom_unit), workroom_unit))
          end

          app.post("/cloths") do
            form = Forms::ClothForm.new(fresh, COLOUR, params, workroom_unit)
            keep(nil, form) { workroom.cloths.create(form.spec, colour: form.colour) }
          end

          app.post("/cloths/:id") do |id|
            record = workroom.cloths.find(number(id))
            form = Forms::ClothForm.new(record.spec, record.colour, params, workroom_unit)
            keep(record, form) { workroom.cloths.update(record.id, form.spec, colour: form.colour, version: (params["version"].to_s == record.version.to_s) ? record.version : -1) }
          end
        end

        # Keeping a cloth, or showing what stands in the way.
        module Saving
          # What a new cloth starts from.
          def fresh = {"use" => "face", "selvedge_in_seam" => house.rules.selvedges == "in_seam"}

          def workroom_unit = house.rules.unit(house.unit)

          def keep(record, form)
            return page(:cloth, Screens::ClothForm.new(record, form, workroom_unit), status: 422) unless form.valid?

            yield
            redirect to("/cloths"), 303
          rescue Store::Stale
            page(:cloth, Screens::ClothForm.new(workroom.cloths.find(record.id), form, workroom_unit, notice: :cloth_changed_elsewhere), status: 409)
          end
        end
      end
    end
  end
end
