# frozen_string_literal: true

module EarnestFold
  module Store
    # What the logbook is read from: what was said at the bench of all work, and what was learnt.
    class Logbook
      MOST_WORK = 300
      # What was learnt of a piece of work.
      Lesson = Reckoning::Value.define(:id, :treatment_id, :went_wrong, :next_time, :by, :at)

      def initialize(workroom)
        @workroom = workroom
      end

      # @return [Array<Records::Job>] those of whose work anything was said at the bench or noted, the last changed
      #   first; of at most MOST_WORK pieces of work
      def jobs
        Store.guard do
          said = @workroom
            .rows(:bench_entries)
            .exclude(Sequel.like(:step, "#{Bench::CAUTION}%"))
            .select(:treatment_id)
            .union(@workroom.rows(:log_notes).select(:treatment_id), from_self: false)
          windows = @workroom
            .rows(:treatments)
            .where(id: said)
            .order(Sequel.desc(:updated_at), Sequel.desc(:id))
            .limit(MOST_WORK)
            .select(:window_id)
          ids = @workroom
            .rows(:jobs)
            .where(id: @workroom.rows(:windows).where(id: windows).select(:job_id))
            .order(Sequel.desc(:updated_at), Sequel.desc(:id))
            .select_map(:id)
          @workroom.jobs.all(ids)
        end
      end

      # @return [Array<String, nil>] at which version everything stands that it is read from ({Versions})
      def versions
        Store.guard do
          Store
            .prepared(:logbook_versions, workroom: @workroom.id) { Versions.of(read_from) }
            .first
            .values
        end
      end

      # @param treatment_ids [Array<Integer>]
      # @return [Hash{Integer => Array<Bench::Entry>}] what was said, by treatment
      def entries(treatment_ids)
        Store.guard do
          @workroom
            .rows(:bench_entries)
            .where(treatment_id: treatment_ids)
            .order(:id)
            .all
            .group_by { |row| row[:treatment_id] }
            .transform_values { |rows| rows.map { |row| Bench::Entry.new(**row.slice(*Bench::Entry.members)) } }
        end
      end

      # @return [Hash{Integer => Array<Lesson>}] by treatment, the last last
      def notes(treatment_ids) =
        Store.guard do
          @workroom
            .rows(:log_notes)
            .where(treatment_id: treatment_ids)
            .order(:id)
            .map { |row| Lesson.new(**row.slice(*Lesson.members)) }
            .group_by(&:treatment_id)
        end

      # @param treatment_ids [Array<Integer>]
      # @return [Hash{Integer => Array<String>}] the batches that each was cut from
      def batches(treatment_ids)
        return {} if treatment_ids.empty?

        Store.guard do
          @workroom
            .rows(:plan_cuts)
            .where(state: "cut")
            .where(Sequel.lit("cut->>'treatment' IN ?", treatment_ids.map(&:to_s)))
            .join(:pieces, workroom_id: Sequel[:plan_cuts][:workroom_id], id: Sequel[:plan_cuts][:piece_id])
            .distinct
            .select(Sequel.lit("cut->>'treatment' AS treatment, pieces.spec->>'batch' AS batch"))
            .map { |row| row.values_at(:treatment, :batch) }
            .group_by { |id, _| Integer(id, 10) }
            .transform_values { |pairs| pairs.filter_map(&:last).reject(&:empty?) }
        end
      end

      # @raise [Missing]
      def note(treatment_id, went_wrong:, next_time:) =
        @workroom.insert(
          :log_notes,
          treatment_id: treatment_id,
          went_wrong: went_wrong,
          next_time: next_time,
          by: @workroom.by
        )

      # @param cloth_id [String] a face cloth's
      # @param except [Integer] the treatment that is looked at
      # @return [Lesson, nil] what was learnt last of other work with that cloth
      def last_with(cloth_id, except:)
        Store.guard do
          row = Store.prepared(:last_with_cloth, workroom: @workroom.id, cloth: cloth_id, except: except) {
            Store.db[:log_notes]
              .where(Sequel[:log_notes][:workroom_id] => :$workroom)
              .join(:treatments, workroom_id: Sequel[:log_notes][:workroom_id], id: Sequel[:log_notes][:treatment_id])
              .where(Sequel.lit("spec->>'face'") => :$cloth)
              .exclude(treatment_id: :$except)
              .order(Sequel.desc(Sequel[:log_notes][:id]))
              .limit(1)
              .select_all(:log_notes)
          }.first
          row && Lesson.new(**row.slice(*Lesson.members))
        end
      end

      private

      # What was said and noted is only ever added to: the newest stands for all.
      def read_from
        said = here(:bench_entries)
        {
          said: [newest(said), %i[id]],
          noted: [newest(here(:log_notes)), %i[id]],
          cut: [here(:plan_cuts).where(state: "cut"), %i[id]],
          work: [here(:treatments).where(id: said.select(:treatment_id)), %i[id version]],
          jobs: [here(:jobs), %i[id version]],
          cloths: [here(:cloths), %i[id version]]
        }
      end

      def newest(rows) = rows.select { max(id).as(:id) }.from_self

      def here(table) = Store.db[table].where(workroom_id: :$workroom)
    end
  end
end
