# frozen_string_literal: true

module EarnestFold
  module Store
    # What the diary is laid from: the jobs that are in it, what is done of them, and the steps that were moved by hand.
    class Diary
      MOST_JOBS, MOST_OFFERED = 200, 50
      # A step moved by hand: not before that day, and that minute of it.
      Move = Reckoning::Value.define(:treatment_id, :block, :day, :at_minute, :by)
      # A step that is done: of which treatment, its code, its curtain.
      Done = Reckoning::Value.define(:treatment_id, :step, :curtain)

      def initialize(workroom)
        @workroom = workroom
      end

      # @return [Array<Records::Job>] at work (not in the archive) with a date of any kind, those promised first
      def jobs
        Store.guard do
          ids = @workroom
            .rows(:jobs)
            .where(archived: false)
            .exclude(dates: Sequel.pg_jsonb({}))
            .order(Sequel.lit("dates->>'promised' NULLS LAST"), :id)
            .limit(MOST_JOBS)
            .select_map(:id)
          @workroom.jobs.all(ids)
        end
      end

      # @return [Array<Array(Integer, String)>] jobs at work without a date, the last changed first: id and title
      def without_a_day =
        Store.guard do
          Store
            .prepared(:without_a_day, workroom: @workroom.id) do
              Store.db[:jobs]
                .where(workroom_id: :$workroom, archived: false, dates: Sequel.pg_jsonb({}))
                .order(Sequel.desc(:updated_at))
                .limit(MOST_OFFERED)
                .select(:id, :title)
            end
            .map { |row| row.values_at(:id, :title) }
        end

      # @return [Array<String, nil>] at which version everything stands that it is laid from ({Versions})
      def versions
        Store.guard do
          Store
            .prepared(:diary_versions, workroom: @workroom.id) { Versions.of(laid_from) }
            .first
            .values
        end
      end

      # @param treatment_ids [Array<Integer>]
      # @return [Array<Done>]
      def done(treatment_ids)
        Store.guard do
          @workroom
            .rows(:bench_entries)
            .where(treatment_id: treatment_ids, kind: %w[done undone])
            .exclude(Sequel.like(:step, "#{Bench::CAUTION}%"))
            .distinct(:treatment_id, :step, :curtain)
            .order(:treatment_id, :step, :curtain, Sequel.desc(:id))
            .select(:treatment_id, :step, :curtain, :kind)
            .all
            .select { |row| row.delete(:kind) == "done" }
            .map { |row| Done.new(**row) }
        end
      end

      # @return [Array<Move>]
      def moves = Store.guard { moved.map { |row| Move.new(**row.slice(*Move.members)) } }

      # @param day [Date]
      # @param was [Move, nil] where it was moved to before, as it was read
      # @raise [Missing, Stale]
      def move(treatment_id, block, day, at_minute, was:)
        step, values = {treatment_id: treatment_id, block: block}, {day: day, at_minute: at_minute, by: @workroom.by}
        return @workroom.replace(moved.where(step), was.to_h, **values) if was

        made = {workroom_id: @workroom.id, **step, **values}
        Store.guard do
          raise Stale, "a step moved" if moved.insert_conflict.returning(:block).insert(made).empty?
        end
      end

      # Lets a step fall where it falls.
      # @param was [Move] as it was read
      # @raise [Stale]
      def let_fall(was) = Store.guard { moved.where(was.to_h).delete == 1 or raise Stale, "a step moved" }

      private

      def moved = @workroom.rows(:diary_moves)

      # Any entry at the bench, as what was said there is only ever added to.
      def laid_from
        jobs = here(:jobs).where(archived: false).exclude(dates: Sequel.pg_jsonb({}))
        windows = here(:windows).where(Versions.among(:job_id, jobs.select(:id))).select(:id)
        {
          jobs: [jobs, [:id, :version, :invoiced, Sequel.cast(:dates, String)]],
          work: [here(:treatments).where(Versions.among(:window_id, windows)), %i[id version put_away]],
          said: [here(:bench_entries).select { max(id).as(:id) }.from_self, %i[id]],
          moves: [here(:diary_moves), %i[treatment_id block day at_minute]],
          cloths: [here(:cloths), %i[id version]]
        }
      end

      def here(table) = Store.db[table].where(workroom_id: :$workroom)
    end
  end
end
