# frozen_string_literal: true

module EarnestFold
  module Store
    # The workroom's heading tapes. They are read with the house ({House#read}), as its rules are.
    class Tapes
      def initialize(workroom)
        @workroom = workroom
      end

      # @return [Array<Records::Tape>] by name
      def all
        Store.guard do
          @workroom.rows(:tapes)
            .select(:id, Records.text(:spec, :spec), :version)
            .order(Sequel.lit("lower(spec->>'name')"), :id)
            .map { |row| Records::Tape.new(id: row[:id], spec: Records.parsed(row[:spec]), version: row[:version]) }
        end
      end

      # @return [Integer] its id
      def create(spec) = @workroom.insert(:tapes, spec: Sequel.pg_jsonb(spec))[:id]

      # @return [Integer] the id of a tape that says just the same, made where there is none
      def find_or_create(spec) =
        Store.guard { @workroom.rows(:tapes).where(spec: Sequel.pg_jsonb(spec)).get(:id) } || create(spec)

      # @param version [Integer] as it was read
      # @raise [Stale, Missing]
      def update(id, spec, version:) = @workroom.change(:tapes, id, version: version, spec: Sequel.pg_jsonb(spec))
    end
  end
end
