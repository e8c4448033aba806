# frozen_string_literal: true

module EarnestFold
  module Store
    # The workroom's cloths.
    class Cloths
      MOST_FOUND = 200
      COLUMNS = [:id, Records.text(:spec, :spec), :colour, :version].freeze
      private_constant :COLUMNS

      def initialize(workroom)
        @workroom = workroom
      end

      # @return [Array<Records::Cloth>] by name
      def all
        Store.guard do
          rows =
            Store.prepared(:all_cloths, workroom: @workroom.id) do
              Store.db[:cloths]
                .where(workroom_id: :$workroom)
                .select(*COLUMNS)
                .order(Sequel.lit("lower(spec->>'name')"), :id)
            end
          rows.map { |row| record(row) }
        end
      end

      # @param words [String]
      # @return [Array<Records::Cloth>] those whose name has the words in it, by name
      def find_words(words)
        Store.guard do
          rows = @workroom.rows(:cloths)
          rows
            .select(*COLUMNS)
            .where(Sequel.ilike(Sequel.lit("spec->>'name'"), "%#{rows.escape_like(words)}%"))
            .order(Sequel.lit("lower(spec->>'name')"), :id)
            .limit(MOST_FOUND)
            .map { |row| record(row) }
        end
      end

      # @return [Records::Cloth]
      # @raise [Missing]
      def find(id) =
        Store.guard do
          record(@workroom.rows(:cloths).select(*COLUMNS).first(id: id) || raise(Missing, "no cloth #{id}"))
        end

      # @return [Integer] its id
      def create(spec, colour:) = @workroom.insert(:cloths, spec: Sequel.pg_jsonb(spec), colour: colour)[:id]

      # @return [Integer] the id of a cloth that says just the same, made where there is none
      def find_or_create(spec)
        Store.guard { @workroom.rows(:cloths).where(spec: Sequel.pg_jsonb(spec)).get(:id) } ||
          create(spec, colour: Records::UNDYED)
      end

      # @param version [Integer] as it was read
      # @raise [Stale, Missing]
      def update(id, spec, colour:, version:) =
        @workroom.change(
          :cloths,
          id,
          version: version,
          spec: Sequel.pg_jsonb(spec),
          colour: colour,
          updated_at: Sequel::CURRENT_TIMESTAMP
        )

      private

      def record(row)
        read = Records.read(row[:spec])
        Records::Cloth.new(
          id: row[:id],
          spec: read.values,
          source: read.source,
          colour: row[:colour],
          version: row[:version]
        )
      end
    end
  end
end
