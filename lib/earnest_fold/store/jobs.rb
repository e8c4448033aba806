# frozen_string_literal: true

module EarnestFold
  module Store
    # Jobs with their windows.
    class Jobs
      MOST_LISTED = 200

      def initialize(workroom)
        @workroom = workroom
      end

      # @return [Array<Records::JobLine>] the last changed first, at most MOST_LISTED
      def list
        Store.guard do
          @workroom.rows(:jobs).left_join(:windows, job_id: :id, workroom_id: @workroom.id).group(Sequel[:jobs][:id])
            .select { [jobs[:id], jobs[:title], jobs[:unit], jobs[:updated_at], count(windows[:id]).as(:windows), string_agg(windows[:room], "\n").as(:rooms)] }
            .order(Sequel.desc(Sequel[:jobs][:updated_at]), Sequel.desc(Sequel[:jobs][:id])).limit(MOST_LISTED).map { |row| line(row) }
        end
      end

      # @param id [Integer]
      # @return [Records::Job] with its windows and treatments, in order
      # @raise [Missing]
      def find(id)
        Store.guard do
          row = @workroom.rows(:jobs).first(id: id) or raise Missing, "no job #{id}"
          windows = @workroom.rows(:windows).where(job_id: id).order(:position, :id).all
          treatments = @workroom.rows(:treatments).where(window_id: windows.map { |window| window[:id] }).order(:position, :id).all.group_by { |made| made[:window_id] }
          record(row, windows, treatments)
        end
      end

      # @return [Integer] its id
      def create(title:, unit:) = @workroom.insert(:jobs, title: title, unit: unit)[:id]

      # @param unit [String] "cm", "mm" or "in"
      # @raise [Missing]
      def set_unit(id, unit) = change(id, unit: unit)

      # @param spec [Hash] the first treatment at the window
      # @return [Integer] the treatment's id
      # @raise [Missing]
      def add_window(id, room:, name:, spec:)
        @workroom.transaction do
          change(id)
          position = (@workroom.rows(:windows).where(job_id: id).max(:position) || 0) + 1
          window = @workroom.insert(:windows, job_id: id, position: position, room: room, name: name)
          @workroom.insert(:treatments, window_id: window[:id], position: 1, spec: Sequel.pg_jsonb(spec))[:id]
        end
      end

      private

      def change(id, **values)
        changed = Store.guard { @workroom.rows(:jobs).where(id: id).update(**values, version: Sequel[:version] + 1, updated_at: Sequel::CURRENT_TIMESTAMP) }
        raise Missing, "no job #{id}" if changed.zero?
      end

      def line(row)
        Records::JobLine.new(id: row[:id], title: row[:title], unit: row[:unit], windows: row[:windows], updated_at: row[:updated_at],
          rooms: row[:rooms].to_s.split("\n").reject(&:empty?).uniq)
      end

      def record(row, windows, treatments)
        Records::Job.new(id: row[:id], title: row[:title], unit: row[:unit], version: row[:version], updated_at: row[:updated_at],
          windows: windows.map { |window| window_record(window, treatments.fetch(window[:id], [])) }.freeze)
      end

      def window_record(window, rows)
        Records::Window.new(id: window[:id], room: window[:room], name: window[:name], treatments: rows.map { |row| Treatments.record(row) }.freeze)
      end
    end
  end
end
