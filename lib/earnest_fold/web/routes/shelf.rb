# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The shelf and its pieces.
      class Shelf < Handler
        LARGEST_LIST = 1024 * 1024

        get Paths.shelf, :all
        get Paths.shelf_list, :list
        get Paths.shelf_labels, :labels
        post Paths.print_shelf_labels, :print_labels
        post Paths.bring_in_pieces, :bring_in
        get Paths.new_piece, :blank
        post Paths.shelf, :receive
        get Paths.piece(":piece"), :show
        post Paths.piece(":piece"), :measure
        post Paths.piece(":piece", "flaws"), :tell_flaw
        post Paths.piece(":piece", "settle"), :settle
        post Paths.piece(":piece", "used-up"), :use_up

        def all(status: 200, problems: [])
          unread = []
          pieces = workroom.shelf.all { |piece| unread << piece }
          shown = Screens::Shelf.new(pieces, workroom.cloths.all, workroom_unit, problems: problems, unread: unread)
          page(:shelf, shown, status: status)
        end

        def list
          sent_as("text/csv", "shelf.csv")
          names = workroom.cloths.all.to_h { |cloth| [cloth.id, cloth.spec["name"].to_s] }
          Documents::ShelfCsv.text(
            workroom.shelf.all.map { |record| [names.fetch(record.cloth_id), record.spec, record.piece] }
          )
        end

        def labels
          sent_as("application/pdf", "shelf-labels.pdf")
          labels_pdf
        end

        # On the label printer, by the queue.
        def print_labels
          workroom.prints.ask(Words.say("shelf.labels_title"), labels_pdf)
          go(Paths.outside)
        end

        def bring_in
          names = workroom.cloths.all.to_h { |cloth| [cloth.spec["name"].to_s, cloth.id] }
          read = Documents::ShelfCsv.new(read_file(params["file"], LARGEST_LIST), names, workroom_unit).read
          return all(status: 422, problems: read.problems) if read.problems.any?

          workroom.shelf.receive_all(read.pieces)
          go(Paths.shelf)
        rescue Store::Taken
          all(status: 422, problems: [Words.say("shelf_csv.label_taken")])
        end

        def blank = new_one(Forms::PieceForm.new({}, workroom.shelf.next_label, nil, workroom_unit))

        def receive
          form = Forms::PieceForm.new({}, "", params, workroom_unit)
          cloth = workroom.cloths.find(number(params["cloth"].to_s))
          return new_one(form, status: 422) unless form.valid?

          go(Paths.piece(workroom.shelf.receive(cloth.id, form.label, form.spec)))
        rescue Store::Taken
          form.taken_by_another
          new_one(form, status: 422)
        end

        def show(id)
          there = in_hand.piece(number(id))
          one(there.piece, there: there)
        end

        def measure(id)
          merged do
            record = workroom.shelf.find(number(id))
            form = form_of(record, params)
            if form.problems.empty?
              workroom.shelf.update(record.id, form.spec, version: record.version, label: form.label)
            end
            next back(record) if form.valid?

            one(workroom.shelf.find(record.id), form: form, status: status_of(form))
          rescue Store::Taken
            form.taken_by_another
            one(record, form: form, status: 422)
          end
        end

        # A flaw more is added to those there are by then; one that is moved or taken away has to be where it was
        # shown.
        def tell_flaw(id)
          merged do
            record = workroom.shelf.find(number(id))
            form = Forms::FlawForm.new(record, params, unit_of(record))
            next one(record, flaw: form, status: 422) unless form.valid?
            unless form.added? || seen?(record.version)
              next one(record, flaw: form, notice: :piece_changed, status: 409)
            end

            workroom.shelf.update(record.id, form.spec, version: record.version, kind: form.kind, data: form.told)
            back(record)
          end
        end

        # What a piece differs in is taken over for the cloth, or the piece is cut all the same. Where someone else was
        # quicker, the piece is shown as it is now.
        def settle(id)
          record = workroom.shelf.find(number(id))
          (params["how"] == "cloth") ? take_over(record) : accept(record)
          back(record)
        rescue Store::Stale
          one(workroom.shelf.find(record.id), notice: :piece_changed, status: 409)
        end

        def use_up(id)
          used = params["used_up"] == "yes"
          workroom.shelf.use_up(number(id), used)
          go(used ? Paths.shelf : Paths.piece(number(id)))
        end

        private

        def labels_pdf
          shown = Screens::Shelf.new(workroom.shelf.all, workroom.cloths.all, workroom_unit)
          opens = shown.pieces.map { |piece| on_label("p", piece.id) }
          Documents::TagPdf.new(Words.say("shelf.labels_title"), shown.labels, opens).render
        end

        # One that isn't on the shelf yet.
        def new_one(form, status: 200)
          cloths = workroom.cloths.all
          asked = cloths.find { |cloth| cloth.id.to_s == params["cloth"].to_s }
          shown = Screens::Piece.new(nil, form, workroom_unit, cloths: cloths, cloth_record: asked)
          page(:piece, shown, status: status)
        end

        def one(record, form: form_of(record, nil), there: in_hand.piece(record.id), status: 200, **more)
          cloths = there.cloths
          cloth = cloths.find { |one| one.id == record.cloth_id }
          shown = Screens::Piece.new(
            record,
            form,
            unit_of(record),
            cloths: cloths,
            cloth_record: cloth,
            history: there.history,
            sheets: concerned(record, cloth, cloths),
            others: there.others.map(&:piece),
            back: station_before,
            **more
          )
          page(:piece, shown, status: status)
        end

        # @return [Array<Work::Job>] the jobs that use the cloth, where the piece differs from it
        def concerned(record, cloth, cloths)
          made = Work::Reader.cloth(cloth, workroom_unit)
          return [] unless made && record.piece.delivery(made).concerns_jobs?

          in_hand.using(record.cloth_id, cloths)
        end

        # A piece is shown on the tape that it was received by.
        def unit_of(record) = house.rules.unit(record.spec["delivered"].to_s[/ (mm|cm|in)\z/, 1] || house.unit)

        def form_of(record, typed) =
          Forms::PieceForm.new(
            record.spec,
            record.label,
            typed,
            unit_of(record),
            takings: record.piece.life.takings,
            version: record.version
          )

        def accept(record)
          spec = record.spec.merge("accepted" => true)
          workroom.shelf.update(record.id, spec, version: seen(record.version), kind: "accepted")
        end

        def take_over(record)
          cloth = workroom.cloths.find(record.cloth_id)
          measured = {"width" => record.spec["width"], "vertical_repeat" => record.spec["repeat"]}.compact
          workroom.cloths.update(cloth.id, cloth.spec.merge(measured), colour: cloth.colour, version: cloth.version)
        end

        # A flaw may be told on the Cutting station; there one goes back to.
        def back(record) = go(station_before || Paths.piece(record.id))

        def station_before = Paths.of_station(params["back"], "cutting") && params["back"]
      end
    end
  end
end
