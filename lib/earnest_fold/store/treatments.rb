# frozen_string_literal: true

module EarnestFold
  module Store
    # The treatments at windows.
    class Treatments
      # @return [Records::Treatment]
      def self.record(row) = Records::Treatment.new(id: row[:id], spec: Records.plain(row[:spec]), version: row[:version])

      def initialize(workroom)
        @workroom = workroom
      end

      # @param id [Integer]
      # @param spec [Hash]
      # @param version [Integer] as it was read
      # @raise [Stale] where someone else changed it since, [Missing] where it is gone
      def update(id, spec, version:)
        Store.guard do
          rows = @workroom.rows(:treatments).where(id: id)
          changed = rows.where(version: version).update(spec: Sequel.pg_jsonb(spec), version: version + 1, updated_at: Sequel::CURRENT_TIMESTAMP)
          next touch_job(id) if changed == 1

          raise rows.empty? ? Missing : Stale, "treatment #{id}"
        end
      end

      private

      def touch_job(id)
        windows = @workroom.rows(:windows).where(id: @workroom.rows(:treatments).where(id: id).select(:window_id))
        @workroom.rows(:jobs).where(id: windows.select(:job_id)).update(updated_at: Sequel::CURRENT_TIMESTAMP)
      end
    end
  end
end
