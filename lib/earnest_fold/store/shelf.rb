# frozen_string_literal: true

module EarnestFold
  module Store
    # The shelf: pieces of cloth, and what happened to each. Whatever changes a piece locks its row first, so that no
    # two people take the same cloth, and its takings lie end to end whenever anybody looks.
    class Shelf
      include Offcuts

      C = Reckoning::Cutting
      MOST_EVENTS = 200
      MOST_FOUND = 20
      # A piece as it is found by what is written on it; `cloth` is that one's name.
      Found = Reckoning::Value.define(:id, :label, :cloth)
      COLUMNS = [:id, :cloth_id, :label, Records.text(:spec, :spec), :parent_id, :used_up, :version].freeze
      READ = Remembered.new(1000)
      private_constant :COLUMNS, :READ

      def initialize(workroom)
        @workroom = workroom
      end

      # @param cloths [Array<Integer>, nil] of these cloths alone
      # @param used_up [Boolean] also those of which nothing is left
      # @yieldparam piece [Hash] id and label of one that can't be read as it is kept: it harms itself alone
      # @return [Array<Records::Piece>] by cloth and label
      def all(cloths: nil, used_up: false, &unread)
        Store.guard do
          rows =
            if cloths
              Store.prepared(:pieces_of_cloths, workroom: @workroom.id, cloths: Shelf.list(cloths)) do
                in_order(Shelf.of_cloths(:$workroom, :$cloths))
              end
            else
              Store.prepared(:pieces, workroom: @workroom.id) do
                in_order(Store.db[:pieces].where(workroom_id: :$workroom))
              end
            end
          records(used_up ? rows : rows.reject { |row| row[:used_up] }, unread || ->(_row) {})
        end
      end

      # @param label [String] as somebody reads it off the cloth
      # @return [Array<Found>] those whose label begins so
      def labelled(label)
        Store.guard do
          rows = @workroom.rows(:pieces)
          rows
            .join(:cloths, workroom_id: @workroom.id, id: :cloth_id)
            .where(Sequel.ilike(Sequel[:pieces][:label], "#{rows.escape_like(label)}%"))
            .order(Sequel[:pieces][:label])
            .limit(MOST_FOUND)
            .select_map([Sequel[:pieces][:id], :label, Sequel.lit("cloths.spec->>'name'").as(:cloth)])
            .map { |id, written, cloth| Found.new(id: id, label: written, cloth: cloth) }
        end
      end

      # @return [Records::Piece]
      # @raise [Missing]
      def find(id) =
        Store.guard do
          records([@workroom.rows(:pieces).select(*COLUMNS).first(id: id) || raise(Missing, "no piece #{id}")]).first
        end

      # @return [Array(Records::Piece, Array<Records::Piece>)] the piece, and the others of the same cloth that aren't
      #   used up
      # @raise [Missing]
      def with_others(id)
        Store.guard do
          rows =
            Store.prepared(:pieces_of_same_cloth, workroom: @workroom.id, piece: id) do
              in_order(Shelf.beside(:$workroom, :$piece))
            end
          own, others = records(rows.reject { |row| row[:used_up] }, ->(_row) {}).partition { |one| one.id == id }
          [own.first || find(id), others]
        end
      end

      # @param spec [Hash] as {Reckoning::Cutting::ShelfPiece} reads it
      # @return [Integer] its id
      # @raise [Taken] where another piece is called so
      def receive(cloth_id, label, spec)
        named { add(cloth_id, label, spec, nil, "received") }
      end

      # Several pieces at once, all of them or none.
      # @param pieces [Array<Array(Integer, String, Hash)>] cloth, label, spec
      # @raise [Taken]
      def receive_all(pieces) =
        named { pieces.each { |cloth_id, label, spec| add(cloth_id, label, spec, nil, "received") } }

      # Pieces that a job document brings: what isn't on the shelf yet is put there. A name that another cloth's piece
      # has already gets a number behind it.
      # @param pieces [Array<Hash>] as the job format writes them
      def bring_in(cloth_id, pieces)
        pieces.each do |piece|
          there = @workroom.rows(:pieces).where(label: piece["id"]).get(:cloth_id)
          next if there == cloth_id

          spec = piece
            .slice("batch", "pattern_start", "flaws", "squared")
            .compact
            .merge("delivered" => piece.fetch("length"))
          add(cloth_id, there ? free_label(piece["id"]) : piece["id"], spec, nil, "received")
        end
      end

      # @param record [Records::Piece]
      # @return [Hash] what is left of it as the job format writes a piece: as it was typed where nothing is cut of it
      def self.to_document(record)
        piece = record.piece
        unless piece.begun?
          return (
            {
              "id" => piece.label,
              "length" => record.spec["measured"] || record.spec["delivered"],
              **record.spec.slice("batch", "pattern_start", "flaws", "squared")
            }
          )
        end

        left = piece.from(piece.ended)
        {
          "id" => piece.label,
          "length" => Records.typed(left.length),
          "batch" => piece.batch,
          "pattern_start" => Records.typed(left.pattern_start),
          "squared" => true,
          "flaws" => left.flaws.map { |flaw| {"from" => Records.typed(flaw.from), "to" => Records.typed(flaw.to)} }
        }
      end

      # @param spec [Hash]
      # @param kind [String] what is told of it in the piece's history
      # @param data [Hash]
      # @raise [Stale, Missing, Taken]
      def update(id, spec, version:, label: nil, kind: "measured", data: {})
        named do
          row = locked(id)
          raise Stale, "piece #{id}" unless row[:version] == version

          change(id, spec: Sequel.pg_jsonb(spec), **(label ? {label: label} : {}))
          tell(id, kind, data)
        end
      end

      # Off the shelf: what is left of it is no use, or it is gone.
      # @raise [Missing]
      def use_up(id, used_up)
        @workroom.transaction do
          locked(id)
          change(id, used_up: used_up)
          tell(id, used_up ? "used_up" : "brought_back", {})
        end
      end

      # @return [Array<Records::Happening>] the last first
      def history(id)
        Store.guard do
          rows =
            Store.prepared(:piece_events, workroom: @workroom.id, piece: id) do
              Store.db[:piece_events]
                .where(workroom_id: :$workroom, piece_id: :$piece)
                .order(Sequel.desc(:id))
                .limit(MOST_EVENTS)
            end
          rows.map do |row|
            Records::Happening.new(kind: row[:kind], data: Records.plain(row[:data]), by: row[:by], at: row[:at])
          end
        end
      end

      # @return [String] a label nobody has used yet: "P12"
      def next_label
        Store.guard do
          numbers =
            @workroom
              .rows(:pieces)
              .where(Sequel.lit("label ~ '^P[0-9]{1,6}$'"))
              .select_map(:label)
              .map { |label| Integer(label.delete_prefix("P"), 10) }
          "P#{(numbers.max || 0) + 1}"
        end
      end

      # Takes a stretch of a piece, inside a transaction: what comes off with it, and where an offcut becomes a piece
      # of its own.
      # @param id [Integer] the piece; where the stretch lies on one of its offcuts by now, that one is taken from
      # @param kind [Symbol] :cut or :wrong
      # @param plan_cut [Integer, nil]
      # @return [Integer] the piece that it was taken from
      # @raise [Reckoning::Invalid] where that cloth is taken already
      def take(id, kind, from, to, least:, plan_cut: nil, data: {})
        piece = locked_piece(id)
        offcut = on_offcut(piece, from, to)
        if offcut
          return (
            take(
              offcut.key[:offcut_id],
              kind,
              from - offcut.from,
              to - offcut.from,
              least: least,
              plan_cut: plan_cut,
              data: data
            )
          )
        end

        apply(piece, piece.piece.life.take(kind, from, to, least: least), plan_cut)
        tell(id, kind.to_s, data.merge(from: Records.exact(from), to: Records.exact(to)))
        id
      end

      # What was taken for a cut is put back, inside a transaction.
      # @param plan_cut [Integer]
      def put_back(plan_cut, least:, data: {})
        row = @workroom.rows(:takings).where(plan_cut_id: plan_cut).first or
          raise Missing, "nothing taken for cut #{plan_cut}"
        piece = locked_piece(row[:piece_id])
        life = piece.piece.life
        taking = life.takings.find { |one| one.key[:id] == row[:id] }
        apply(piece, life.put_back(taking, least: least, loose: loose(life)), nil)
        tell(piece.id, "put_back", data.merge(from: row[:from], to: row[:to]))
      end

      # One line more in a piece's history, inside a transaction.
      def tell(id, kind, data) =
        @workroom.insert(:piece_events, piece_id: id, kind: kind, data: Sequel.pg_jsonb(data), by: @workroom.by)

      # @return [Hash] the row, kept from others until the transaction ends
      def locked(id) = @workroom.rows(:pieces).where(id: id).for_update.first || raise(Missing, "no piece #{id}")

      # Whoever planned with the piece as it was must look again.
      def change(id, **values) = @workroom.rows(:pieces).where(id: id).update(**values, version: Sequel[:version] + 1)

      # @param workroom [Integer, Symbol] its id, or where that is to be given
      # @param cloths [String, Symbol] a list of ids, or where that is to be given
      # @return [Sequel::Dataset] the pieces of those cloths
      def self.of_cloths(workroom, cloths) =
        Store.db[:pieces]
          .where(Sequel[:pieces][:workroom_id] => workroom)
          .where(Sequel.lit("pieces.cloth_id = ANY(?::int[])", cloths))

      # @param workroom [Integer, Symbol] as {of_cloths} takes it; the same for the piece
      # @return [Sequel::Dataset] the pieces of that one's cloth
      def self.beside(workroom, piece)
        own = Store.db[:pieces].where(workroom_id: workroom, id: piece).select(:cloth_id)
        Store.db[:pieces].where(Sequel[:pieces][:workroom_id] => workroom, Sequel[:pieces][:cloth_id] => own)
      end

      # @param pieces [Sequel::Dataset] as {of_cloths} or {beside} gives it
      # @return [Hash] what there is of them, as {Versions} takes it: the pieces, what is taken of them, and for which
      #   jobs they are planned
      def self.stands_there(pieces)
        own = Sequel[:pieces]
        here = {workroom_id: own[:workroom_id], piece_id: own[:id]}
        planned = pieces.join(:plan_cuts, **here, state: "planned")
          .join(:jobs, workroom_id: own[:workroom_id], id: Sequel[:plan_cuts][:job_id])
        {
          pieces: [pieces, Versions.columns(:pieces)],
          taken: [pieces.join(:takings, here), Versions.columns(:takings)],
          planned: [planned, Versions.columns(:plan_cuts, Sequel[:jobs][:title])]
        }
      end

      # @param ids [Array<Integer>]
      # @return [String] as the database writes a list
      def self.list(ids) = "{#{ids.join(",")}}"

      private

      def in_order(pieces) = pieces.select(*COLUMNS).order(:cloth_id, :id)

      def free_label(label) =
        (2..)
          .lazy
          .map { |number| "#{label} (#{number})" }
          .find { |name| @workroom.rows(:pieces).where(label: name).empty? }

      def locked_piece(id)
        locked(id)
        find(id)
      end

      def on_offcut(piece, from, to) =
        piece.piece.life.takings.find { |taking| taking.kind == :offcut && taking.from <= from && taking.to >= to }

      def apply(piece, change, plan_cut)
        change.removed.each do |taking|
          @workroom.rows(:takings).where(id: taking.key[:id]).delete
          rejoin(piece, taking) if taking.kind == :offcut && taking.key[:offcut_id]
        end
        change.added.each do |taking|
          offcut = (taking.kind == :offcut) ? offcut(piece, taking) : nil
          of_cut = %i[cut wrong].include?(taking.kind) ? plan_cut : nil
          @workroom.insert(
            :takings,
            piece_id: piece.id,
            kind: taking.kind.to_s,
            from: Records.exact(taking.from),
            to: Records.exact(taking.to),
            plan_cut_id: of_cut,
            offcut_id: offcut
          )
        end
        change(piece.id)
      end

      def add(cloth_id, label, spec, parent, kind)
        row = {cloth_id: cloth_id, label: label, spec: Sequel.pg_jsonb(spec), parent_id: parent}
        id = @workroom.insert(:pieces, **row)[:id]
        tell(id, kind, {})
        id
      end

      def named(&block)
        @workroom.transaction(&block)
      rescue Sequel::UniqueConstraintViolation
        raise Taken, "a piece of that name"
      end

      # The takings and reservations of all of them in two questions.
      def records(rows, unread = nil)
        ids = rows.map { |row| row[:id] }
        takings, reserved = ids.empty? ? [{}, {}] : [takings_of(ids), reserved_of(ids)]
        rows.filter_map do |row|
          record(row, takings.fetch(row[:id], []), reserved.fetch(row[:id], []))
        rescue Reckoning::Invalid
          raise unless unread

          unread.call(row.slice(:id, :label))
          nil
        end
      end

      def read(spec, label, takings)
        problems = Reckoning::Problems.new
        C::ShelfPiece.read(spec, label, takings, problems) || problems.raise_any
      end

      def takings_of(ids)
        rows =
          Store.prepared(:takings, workroom: @workroom.id, pieces: Shelf.list(ids)) do
            Store.db[:takings].where(workroom_id: :$workroom).where(Sequel.lit("piece_id = ANY(?::int[])", :$pieces))
          end
        rows.group_by { |row| row[:piece_id] }.transform_values do |of_piece|
          of_piece
            .map do |row|
              C::Taking.new(
                kind: row[:kind].to_sym,
                from: Records.length(row[:from]),
                to: Records.length(row[:to]),
                key: row.slice(:id, :plan_cut_id, :offcut_id)
              )
            end
            .sort_by(&:from)
        end
      end

      def reserved_of(ids)
        rows = Store.prepared(:reserved, workroom: @workroom.id, pieces: Shelf.list(ids)) { reservations }
        rows.group_by { |row| row[:piece_id] }.transform_values do |of_piece|
          of_piece
            .group_by { |row| [row[:job_id], row[:title]] }
            .map do |(job, title), cuts|
              Records::Reserved.new(job_id: job, title: title, from: ends(cuts, :from).min, to: ends(cuts, :to).max)
            end
        end
      end

      def reservations
        Store.db[:plan_cuts]
          .where(Sequel[:plan_cuts][:workroom_id] => :$workroom, :state => "planned")
          .where(Sequel.lit("piece_id = ANY(?::int[])", :$pieces))
          .join(:jobs, workroom_id: Sequel[:plan_cuts][:workroom_id], id: Sequel[:plan_cuts][:job_id])
          .select(:piece_id, :job_id, :title, :datum, :from, :to)
      end

      def ends(cuts, side) = cuts.map { |row| Records.length(row[:datum]) + Records.length(row[side]) }

      def record(row, takings, reserved)
        spec = Records.parsed(row[:spec])
        piece = READ.fetch([row[:spec], row[:label], takings]) { read(spec, row[:label], takings) }
        Records::Piece.new(
          id: row[:id],
          cloth_id: row[:cloth_id],
          spec: spec,
          piece: piece,
          parent_id: row[:parent_id],
          used_up: row[:used_up],
          version: row[:version],
          reserved: reserved
        )
      end
    end
  end
end
