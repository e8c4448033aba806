# frozen_string_literal: true

module EarnestFold
  module Store
    # What a day's first page is made of: the jobs changed last, with all that stands in them.
    class Today
      def initialize(workroom)
        @workroom = workroom
      end

      # @param most [Integer] so many jobs
      # @return [Array<String, nil>] at which version everything stands that it is made from ({Versions})
      def versions(most)
        Store.guard do
          Store
            .prepared(:today_versions, workroom: @workroom.id, most: most) { Versions.of(made_from) }
            .first
            .values
        end
      end

      private

      def made_from
        windows = here(:windows).where(Versions.among(:job_id, latest.select(:id)))
        {
          jobs: [latest, %i[id version updated_at]],
          windows: [windows, %i[id position room name]],
          work: [works_at(windows), %i[id version position put_away]],
          said: [here(:bench_entries).select { max(id).as(:id) }.from_self, %i[id]],
          cut: [here(:plan_cuts).where(state: "cut").select { [count(id).as(:cuts), max(id).as(:id)] }.from_self,
            %i[cuts id]],
          asked: [here(:papers).select { max(id).as(:id) }.from_self, %i[id]],
          answered: [here(:paper_answers).select { max(id).as(:id) }.from_self, %i[id]],
          cloths: [here(:cloths), %i[id version]]
        }
      end

      def works_at(windows) = here(:treatments).where(Versions.among(:window_id, windows.select(:id)))

      def latest =
        here(:jobs).where(archived: false).order(Sequel.desc(:updated_at), Sequel.desc(:id)).limit(:$most).from_self

      def here(table) = Store.db[table].where(workroom_id: :$workroom)
    end
  end
end
