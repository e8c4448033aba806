# frozen_string_literal: true

module EarnestFold
  module Store
    # The plans that were taken to the table: one for each cloth of a job. A cut that was made stays made, whoever
    # plans the rest again; every step is one transaction, and people ticking at once wait for each other at the
    # piece.
    class Plans
      C = Reckoning::Cutting
      # One cut to be kept with a plan.
      PlannedCut = Reckoning::Value.define(:piece_id, :datum, :from, :to, :cut)
      # Of as many jobs as are at work.
      MADE = Remembered.new(200)
      private_constant :MADE

      def initialize(workroom)
        @workroom = workroom
      end

      # @param job_id [Integer]
      # @return [Records::AtTable]
      def of(job_id)
        Store.guard do
          rows =
            Store.prepared(:open_plans, workroom: @workroom.id, job: job_id) do
              Store.db[:plans].where(workroom_id: :$workroom, job_id: :$job, open: true)
            end
          open = rows.to_h { |row| [row[:cloth_id], record(row)] }
          Records::AtTable.new(open: open, cuts: cuts_of(job_id))
        end
      end

      # @return [Hash{String => Array<Array(String, String, Integer)>}] the cuts that were made, by treatment: each by
      #   its name, which is the cloth's id, the curtain, and the width from the leading edge
      def made(job_id)
        Store.guard do
          rows =
            Store.prepared(:cuts_made, workroom: @workroom.id, job: job_id) do
              cuts_made(:$workroom).where(job_id: :$job)
            end
          by_treatment(rows).freeze
        end
      end

      # @param workroom [Integer, Symbol] its id, or where that is to be given; the same for the job
      # @return [Sequel::Dataset] one text: in which state the job's cuts are that were made; nil where there are none
      def self.state(workroom, job) = Versions.text(
        Store.db[:plan_cuts].where(workroom_id: workroom, job_id: job, state: "cut"), Versions.columns(:plan_cuts)
      )

      # @param workroom [Integer, Symbol] as {state} takes it; the same for the job
      # @return [Hash] what lies at the table, as {Versions} takes it: the open plans, and all cuts of the job
      def self.stands_at_table(workroom, job)
        cuts = Sequel[:plan_cuts]
        {
          plans: [
            Store.db[:plans].where(workroom_id: workroom, job_id: job, open: true), Versions.columns(:plans)
          ],
          cuts: [
            Store.db[:plan_cuts].where(cuts[:workroom_id] => workroom, cuts[:job_id] => job)
              .join(:pieces, workroom_id: cuts[:workroom_id], id: cuts[:piece_id]),
            Versions.columns(:plan_cuts, Sequel[:pieces][:label])
          ]
        }
      end

      # @param state [String, nil] as {state} gives it
      # @return [Hash{String => Array}] the same as {#made}, read once while nothing changes
      def made_in_state(job_id, state) = state ? MADE.fetch([@workroom.id, job_id, state]) { made(job_id) } : {}

      # @param job_ids [Array<Integer>]
      # @return [Hash{Integer => Hash}] the same of each job that has any
      def made_of(job_ids) =
        Store.guard do
          cuts_made(@workroom.id).where(job_id: job_ids).select_append(:job_id).all
            .group_by { |row| row[:job_id] }
            .transform_values { |rows| by_treatment(rows) }
        end

      # Takes a plan to the table in place of the one that lies there.
      # @param facts [Hash] proved, used, bound
      # @param lines [Array<PlannedCut>] in cutting order
      # @param seen [Hash{Integer => Integer}] the versions of the pieces that it was planned with
      # @return [Integer] its id
      # @raise [Stale] where a piece was changed since, [Missing]
      def take(job_id, cloth_id, facts, lines, seen:)
        @workroom.in_turn do
          @workroom.rows(:jobs).where(id: job_id).for_no_key_update.first or raise Missing, "no job #{job_id}"
          hold(job_id, cloth_id, lines.map(&:piece_id))
          check(lines, seen)
          clear(job_id, cloth_id)
          kept = @workroom.insert(
            :plans,
            job_id: job_id,
            cloth_id: cloth_id,
            proved: facts.fetch(:proved),
            used: Records.exact(facts.fetch(:used)),
            bound: Records.exact(facts.fetch(:bound)),
            by: @workroom.by
          )
          id = kept[:id]
          lines.each_with_index { |line, index| keep(id, job_id, cloth_id, line, index) }
          reserve(job_id, lines.map(&:piece_id).uniq, "reserved")
          id
        end
      end

      # Leaves what isn't cut yet on the shelf for others.
      def release(job_id, cloth_id)
        @workroom.in_turn do
          hold(job_id, cloth_id, [])
          clear(job_id, cloth_id)
        end
      end

      # A cut is made.
      # @param place [Array(Integer, Integer)] the job and the cloth at whose table it was said: no other's cut is
      #   touched from there
      # @param id [Integer] of the cut
      # @return [Boolean] false where somebody else has said so already
      # @raise [Missing] where it isn't planned there any more, [Reckoning::Invalid] where that cloth is gone
      def tick(place, id, least:)
        @workroom.in_turn do
          row = locked(place, id)
          next false if row[:state] == "cut"

          took(row, :cut, Records.length(row[:from]), Records.length(row[:to]), least)
          done(row, "cut")
          true
        end
      end

      # A cut that was ticked wasn't made.
      # @return [Boolean] false where it isn't ticked
      def put_back(place, id, least:)
        @workroom.in_turn do
          row = locked(place, id)
          next false if row[:state] == "planned"

          to_be_made(row) { shelf.put_back(id, least: least, data: told(row)) }
          true
        end
      end

      # A cut went wrong: the stretch that came off is no use for what it was meant for, and the cut has still to be
      # made.
      # @param from [Reckoning::Length] as cut, from the datum
      # @param to [Reckoning::Length]
      # @param why [String]
      def wrong(place, id, from, to, least:, why:)
        @workroom.in_turn do
          row = locked(place, id)
          shelf.put_back(id, least: least) if row[:state] == "cut"
          took(row, :wrong, from, to, least, why: why)
          done(row, "wrong", from: Records.exact(from), to: Records.exact(to))
        end
      end

      private

      def cuts_made(workroom) =
        Store.db[:plan_cuts].where(workroom_id: workroom, state: "cut").select(
          :cloth_id,
          Sequel.lit("cut->>'treatment' AS treatment"),
          Sequel.lit("cut->>'curtain' AS curtain"),
          Sequel.lit("(cut->>'number')::int AS number")
        )

      def by_treatment(rows) =
        rows
          .group_by { |row| row[:treatment] }
          .transform_values { |own| own.map { |row| [row[:cloth_id].to_s, row[:curtain], row[:number]] } }

      def shelf = @workroom.shelf

      # Where the plan that it was made by is open still, it is planned as before, and goes with its cloth; else the
      # next plan will place it.
      # @yield puts its cloth back
      def to_be_made(row)
        rows = @workroom.rows(:plan_cuts).where(id: row[:id])
        open = @workroom.rows(:plans).where(id: row[:plan_id], open: true).any?
        rows.update(state: "planned", done_at: nil, by: "") if open
        yield
        rows.delete unless open
      end

      # How often a cut can move to another piece while somebody waits for it.
      MOST_MOVES = 10
      private_constant :MOST_MOVES

      # The piece before the cut, as everybody locks them: whoever takes a plan, or moves a cut with its cloth, holds
      # its piece first. Where the cloth came off as a piece of its own meanwhile, the cut is there now.
      def locked((job, cloth), id)
        rows = @workroom.rows(:plan_cuts).where(job_id: job, cloth_id: cloth, id: id)
        MOST_MOVES.times do
          piece = rows.get(:piece_id) || raise(Missing, "no cut #{id} there")
          @workroom.rows(:pieces).where(id: piece).for_update.first
          next unless rows.get(:piece_id) == piece

          return rows.for_update.first || raise(Missing, "no cut #{id} there")
        end
        raise Busy, "cut #{id} moves from piece to piece"
      end

      def took(row, kind, from, to, least, **more)
        datum = Records.length(row[:datum])
        shelf.take(
          row[:piece_id],
          kind,
          datum + from,
          datum + to,
          least: least,
          plan_cut: row[:id],
          data: told(row).merge(more)
        )
      end

      def told(row) =
        Records.plain(row[:cut]).slice("treatment", "curtain", "number").merge("job" => title(row[:job_id]))

      # As it is called now: a history keeps the words of its day.
      def title(job_id) = @workroom.rows(:jobs).where(id: job_id).get(:title)

      def done(row, state, **values) =
        @workroom
          .rows(:plan_cuts)
          .where(id: row[:id])
          .update(state: state, by: @workroom.by, done_at: Sequel::CURRENT_TIMESTAMP, **values)

      # The open plan is closed; of its cuts only those that were made stay.
      def clear(job_id, cloth_id)
        planned = @workroom.rows(:plan_cuts).where(job_id: job_id, cloth_id: cloth_id, state: "planned")
        reserve(job_id, planned.distinct.select_map(:piece_id), "released")
        planned.delete
        @workroom.rows(:plans).where(job_id: job_id, cloth_id: cloth_id, open: true).update(open: false)
      end

      # Every piece that is touched, those of the plan that lay there too, in the order of their ids: two who take plans
      # at once wait for each other and don't stand in each other's way.
      # @raise [Stale] where cuts were moved to other pieces meanwhile
      def hold(job_id, cloth_id, pieces)
        held = (pieces + planned_on(job_id, cloth_id)).uniq.sort
        held.each { |piece| shelf.locked(piece) }
        raise Stale, "the plan's cloth" if (planned_on(job_id, cloth_id) - held).any?
      end

      def planned_on(job_id, cloth_id) =
        @workroom.rows(:plan_cuts).where(job_id: job_id, cloth_id: cloth_id, state: "planned")
          .distinct
          .select_map(:piece_id)

      def check(lines, seen)
        lines.map(&:piece_id).uniq.sort.each do |piece|
          raise Stale, "piece #{piece}" unless shelf.locked(piece)[:version] == seen.fetch(piece)
        end
      end

      def reserve(job_id, pieces, kind)
        pieces.sort.each do |piece|
          shelf.locked(piece)
          shelf.change(piece)
          shelf.tell(piece, kind, {"job" => title(job_id)})
        end
      end

      def keep(plan, job_id, cloth_id, line, position)
        @workroom.insert(
          :plan_cuts,
          plan_id: plan,
          job_id: job_id,
          cloth_id: cloth_id,
          piece_id: line.piece_id,
          position: position,
          datum: Records.exact(line.datum),
          from: Records.exact(line.from),
          to: Records.exact(line.to),
          cut: Sequel.pg_jsonb(kept(line.cut))
        )
      end

      def kept(cut)
        {
          "treatment" => cut.treatment,
          "curtain" => cut.curtain,
          "number" => cut.number,
          "phase" => cut.phase,
          "start" => cut.start && Records.exact(cut.start),
          "length" => Records.exact(cut.length)
        }
      end

      def cuts_of(job_id)
        rows = Store.prepared(:cuts_of_job, workroom: @workroom.id, job: job_id) do
          Store.db[:plan_cuts]
            .where(Sequel[:plan_cuts][:workroom_id] => :$workroom, :job_id => :$job)
            .join(:pieces, workroom_id: Sequel[:plan_cuts][:workroom_id], id: Sequel[:plan_cuts][:piece_id])
            .select_all(:plan_cuts)
            .select_append(:label)
            .order(Sequel[:plan_cuts][:plan_id], :position)
        end
        rows.group_by { |row| row[:cloth_id] }.transform_values { |of_cloth| of_cloth.map { |row| cut_record(row) } }
      end

      def cut_record(row)
        Records::PlanCut.new(
          id: row[:id],
          piece_id: row[:piece_id],
          label: row[:label],
          datum: Records.length(row[:datum]),
          from: Records.length(row[:from]),
          to: Records.length(row[:to]),
          cut: cut(Records.plain(row[:cut])),
          state: row[:state],
          by: row[:by],
          done_at: row[:done_at]
        )
      end

      def cut(kept)
        C::Cut.new(
          treatment: kept["treatment"],
          curtain: kept["curtain"],
          number: kept["number"],
          phase: kept["phase"],
          start: kept["start"] && Records.length(kept["start"]),
          length: Records.length(kept["length"])
        )
      end

      def record(row)
        Records::Plan.new(
          id: row[:id],
          job_id: row[:job_id],
          cloth_id: row[:cloth_id],
          proved: row[:proved],
          used: Records.length(row[:used]),
          bound: Records.length(row[:bound]),
          by: row[:by],
          at: row[:at]
        )
      end
    end
  end
end
