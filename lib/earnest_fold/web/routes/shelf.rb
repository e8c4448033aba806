# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The shelf and its pieces.
      module Shelf
        LARGEST_LIST = 1024 * 1024

        def self.registered(app)
          app.helpers(Receiving)
          lists(app)
          one(app)
          changes(app)
        end

        def self.lists(app)
          app.get("/shelf") { page(:shelf, shelf_screen) }

          app.get("/shelf.csv") do
            content_type "text/csv"
            attachment "shelf.csv"
            names = workroom.cloths.all.to_h { |cloth| [cloth.id, cloth.spec["name"].to_s] }
            Documents::ShelfCsv.text(
              workroom.shelf.all.map { |record| [names.fetch(record.cloth_id), record.spec, record.piece] }
            )
          end

          app.post("/shelf/bring-in") { bring_in(params["file"]) }
        end

        def self.one(app)
          app.get("/shelf/new") do
            page(:piece, receiving(Forms::PieceForm.new({}, workroom.shelf.next_label, nil, workroom_unit)))
          end
          app.post("/shelf") { receive(Forms::PieceForm.new({}, "", params, workroom_unit)) }
          app.get("/shelf/:piece") { |id| page(:piece, piece_screen(workroom.shelf.find(number(id)))) }
          app.post("/shelf/:piece") { |id| measure(number(id)) }
        end

        def self.changes(app)
          app.post("/shelf/:piece/flaws") { |id| flaw_on(number(id)) }

          app.post("/shelf/:piece/settle") { |id| settle(workroom.shelf.find(number(id))) }

          app.post("/shelf/:piece/used-up") do |id|
            workroom.shelf.use_up(number(id), params["used_up"] == "yes")
            redirect to((params["used_up"] == "yes") ? "/shelf" : "/shelf/#{number(id)}"), 303
          end
        end

        # Pieces received, measured and settled.
        module Receiving
          def shelf_screen(problems: []) =
            Screens::Shelf.new(workroom.shelf.all, workroom.cloths.all, workroom_unit, problems: problems)

          # @return [Screens::Piece] for one that isn't on the shelf yet
          def receiving(form) =
            Screens::Piece.new(
              nil,
              form,
              workroom_unit,
              cloths: workroom.cloths.all,
              cloth_record: workroom.cloths.all.find { |cloth| cloth.id.to_s == params["cloth"].to_s }
            )

          def piece_screen(record, form: nil, **more)
            cloths = workroom.cloths.all
            cloth = cloths.find { |one| one.id == record.cloth_id }
            others = workroom.shelf.all(cloths: [record.cloth_id]).reject { |one| one.id == record.id }
            Screens::Piece.new(
              record,
              form || piece_form(record, nil),
              piece_unit(record),
              cloths: cloths,
              cloth_record: cloth,
              history: workroom.shelf.history(record.id),
              sheets: concerned(record, cloth, cloths),
              others: others.map(&:piece),
              back: station_before,
              **more
            )
          end

          # @return [Array<Work::Job>] the jobs that use the cloth, where the piece differs from it
          def concerned(record, cloth, cloths)
            made = Work::Reader.cloth(cloth, workroom_unit)
            if made.nil? ||
                record
                    .piece
                    .delivery(made)
                    .differences
                    .none? { |one| one.stops || %i[width length].include?(one.name) }
              return []
            end

            workroom.jobs.using(record.cloth_id).map { |job| Work::Job.new(job, cloths, house).sound }
          end

          # A piece is shown on the tape that it was received by.
          def piece_unit(record) = house.rules.unit(record.spec["delivered"].to_s[/ (mm|cm|in)\z/, 1] || house.unit)

          def piece_form(record, typed) =
            Forms::PieceForm.new(
              record.spec,
              record.label,
              typed,
              piece_unit(record),
              takings: record.piece.life.takings,
              version: record.version
            )

          def receive(form)
            cloth = workroom.cloths.find(number(params["cloth"].to_s))
            return page(:piece, receiving(form), status: 422) unless form.valid?

            redirect to("/shelf/#{workroom.shelf.receive(cloth.id, form.label, form.spec)}"), 303
          rescue Store::Taken
            form.taken
            page(:piece, receiving(form), status: 422)
          end

          def measure(id)
            merged do
              record = workroom.shelf.find(id)
              form = piece_form(record, params)
              workroom.shelf.update(id, form.spec, version: record.version, label: form.label) if form.problems.empty?
              next redirect(to(back_from_piece(record)), 303) if form.valid?

              page(:piece, piece_screen(workroom.shelf.find(id), form: form), status: status_of(form))
            rescue Store::Taken
              form.taken
              page(:piece, piece_screen(record, form: form), status: 422)
            end
          end

          # A flaw more is added to those there are by then; one that is moved or taken away has to be where it was
          # shown.
          def flaw_on(id)
            merged do
              record = workroom.shelf.find(id)
              form = Forms::FlawForm.new(record, params, piece_unit(record))
              next page(:piece, piece_screen(record, flaw: form), status: 422) unless form.valid?
              unless form.added? || version_shown(record) == record.version
                next page(:piece, piece_screen(record, flaw: form, notice: :piece_changed), status: 409)
              end

              workroom.shelf.update(id, form.spec, version: record.version, kind: form.kind, data: form.told)
              redirect to(back_from_piece(record)), 303
            end
          end

          # What a piece differs in is taken over for the cloth, or the piece is cut all the same.
          def settle(record)
            change_piece(record) do
              unless params["how"] == "cloth"
                next(
                  workroom.shelf.update(
                    record.id,
                    record.spec.merge("accepted" => true),
                    version: version_shown(record),
                    kind: "accepted"
                  )
                )
              end

              cloth = workroom.cloths.find(record.cloth_id)
              measured = {"width" => record.spec["width"], "vertical_repeat" => record.spec["repeat"]}.compact
              workroom.cloths.update(cloth.id, cloth.spec.merge(measured), colour: cloth.colour, version: cloth.version)
            end
          end

          # Where someone else was quicker, the piece is shown as it is now.
          def change_piece(record)
            yield
            redirect to(back_from_piece(record)), 303
          rescue Store::Stale
            page(:piece, piece_screen(workroom.shelf.find(record.id), notice: :piece_changed), status: 409)
          end

          def version_shown(record) = (params["version"].to_s == record.version.to_s) ? record.version : -1

          # A flaw may be told on the Cutting station; there one goes back to.
          def back_from_piece(record)
            station_before || "/shelf/#{record.id}"
          end

          def station_before =
            params["back"].to_s.match?(%r{\A/jobs/\d{1,9}/treatments/\d{1,9}/cutting\z}) ? params["back"] : nil

          def bring_in(file)
            text = (file.is_a?(Hash) && file[:tempfile].respond_to?(:read)) ? file[:tempfile].read(LARGEST_LIST) : ""
            read = Documents::ShelfCsv.new(
              text.to_s,
              workroom.cloths.all.to_h { |cloth| [cloth.spec["name"].to_s, cloth.id] },
              workroom_unit
            ).read
            return page(:shelf, shelf_screen(problems: read.problems), status: 422) if read.problems.any?

            workroom.shelf.receive_all(read.pieces)
            redirect to("/shelf"), 303
          rescue Store::Taken
            page(:shelf, shelf_screen(problems: [Words.say("shelf_csv.label_taken")]), status: 422)
          end
        end
      end
    end
  end
end
