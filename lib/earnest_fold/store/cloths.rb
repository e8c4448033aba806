# frozen_string_literal: true

module EarnestFold
  module Store
    # The workroom's cloths.
    class Cloths
      MOST_FOUND = 200
      COLUMNS = [:id, Records.text(:spec, :spec), :colour, :version].freeze
      # Of as many workrooms as are at work, in the state that they were last.
      KNOWN = Remembered.new(20)
      private_constant :COLUMNS, :KNOWN

      def initialize(workroom)
        @workroom = workroom
      end

      # @param workroom [Integer, Symbol] its id, or where that is to be given
      # @return [Sequel::Dataset] one text: in which state the cloths are
      def self.state(workroom) =
        Versions.text(Store.db[:cloths].where(workroom_id: workroom), Versions.columns(:cloths))

      # @return [Array<Records::Cloth>] by name; read once while nothing changes, however many there are
      def all =
        Store.guard do
          in_state(Store.prepared(:cloth_state, workroom: @workroom.id) { Cloths.state(:$workroom) }.first[:state])
        end

      # @param state [String, nil] as {state} gives it
      # @return [Array<Records::Cloth>] the same
      def in_state(state) = KNOWN.fetch([@workroom.id, state]) { read.freeze }

      # @param words [String]
      # @return [Array<Records::Cloth>] those whose name has each of the words in it, by name
      def find_words(words)
        Store.guard do
          rows = @workroom.rows(:cloths)
          Records.each_word(words)
            .reduce(rows.select(*COLUMNS)) { |those, word|
              those.where(Sequel.ilike(Sequel.lit("spec->>'name'"), "%#{rows.escape_like(word)}%"))
            }
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

      def read
        rows =
          Store.prepared(:all_cloths, workroom: @workroom.id) do
            Store.db[:cloths]
              .where(workroom_id: :$workroom)
              .select(*COLUMNS)
              .order(Sequel.lit("lower(spec->>'name')"), :id)
          end
        rows.map { |row| record(row) }
      end

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
