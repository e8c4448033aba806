# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The workroom's heading tapes.
      class Tapes < Handler
        get Paths.tapes, :all
        get Paths.new_tape, :blank
        get Paths.tape(":id"), :show
        post Paths.tapes, :bring_in
        post Paths.tape(":id"), :change

        def all = page(:tapes, Screens::Tapes.new(house.tapes, workroom_unit))

        def blank = new_one(Forms::TapeForm.new({}, nil, workroom_unit))

        def show(id)
          record = fetch(house, id)
          shown(record, Forms::TapeForm.new(record.spec, nil, workroom_unit))
        end

        def bring_in
          form = Forms::TapeForm.new({}, params, workroom_unit)
          return new_one(form, status: 422) unless form.valid?

          id = workroom.tapes.create(form.spec)
          go(station ? "#{Paths.tape(id)}?#{URI.encode_www_form("for" => station)}" : Paths.tape(id))
        end

        def change(id)
          merged do
            record = fetch(workroom.house.read, id)
            form = Forms::TapeForm.new(record.spec, params, workroom_unit, version: record.version)
            workroom.tapes.update(record.id, form.spec, version: record.version) if form.problems.empty?
            next go(station || Paths.tapes) if form.valid?

            shown(fetch(workroom.house.read, id), form, status: status_of(form))
          end
        end

        private

        def new_one(form, status: 200)
          page(:tape, Screens::TapeForm.new(nil, form, workroom_unit, station: station), status: status)
        end

        def shown(record, form, status: 200)
          page(:tape, Screens::TapeForm.new(record, form, workroom_unit, station: station), status: status)
        end

        # @return [Store::Records::Tape]
        def fetch(house, id) = house.tape(number(id)) || raise(Store::Missing, "no tape #{id}")

        # @return [String, nil] the Heading station that one came from
        def station = Paths.of_station(params["for"], "heading") && params["for"]
      end
    end
  end
end
