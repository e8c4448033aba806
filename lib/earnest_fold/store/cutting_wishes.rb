# frozen_string_literal: true

module EarnestFold
  module Store
    # What a maker wants of a job's plan on a cloth: {"forbidden" => [labels], "preferred" => [labels], "pins" =>
    # [{"piece", "treatment", "curtain", "number", "from"}]}.
    class CuttingWishes
      def initialize(workroom)
        @workroom = workroom
      end

      # @return [Hash{Integer => Hash}] by cloth
      def of(job_id)
        Store.guard do
          Store
            .prepared(:wishes_of_job, workroom: @workroom.id, job: job_id) do
              Store.db[:cutting_wishes].where(workroom_id: :$workroom, job_id: :$job)
            end
            .to_h { |row| [row[:cloth_id], Records.plain(row[:spec])] }
        end
      end

      # @param workroom [Integer, Symbol] its id, or where that is to be given; the same for the job
      # @return [Hash] what is wished for, as {Versions} takes it
      def self.stands_there(workroom, job)
        wishes = Store.db[:cutting_wishes].where(workroom_id: workroom, job_id: job)
        {wishes: [wishes, Versions.columns(:cutting_wishes)]}
      end

      # @param spec [Hash]
      # @param saw [Hash] what stood there when it was decided; empty for nothing yet
      # @raise [Stale] where somebody decided something else meanwhile, [Missing] where there is no such job or cloth
      def keep(job_id, cloth_id, spec, saw:)
        place = {job_id: job_id, cloth_id: cloth_id}
        @workroom.transaction do
          @workroom.rows(:jobs).where(id: job_id).for_no_key_update.first or raise Missing, "no job #{job_id}"
          unless Records.plain(@workroom.rows(:cutting_wishes).where(place).get(:spec) || {}) == saw
            raise Stale, "wishes of job #{job_id}"
          end

          Store.db[:cutting_wishes].insert_conflict(
            target: [:workroom_id, *place.keys],
            update: {spec: Sequel[:excluded][:spec]}
          ).insert(workroom_id: @workroom.id, **place, spec: Sequel.pg_jsonb(spec))
        end
      end
    end
  end
end
