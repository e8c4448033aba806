# frozen_string_literal: true

module EarnestFold
  module Store
    # The treatments at windows, and what was changed of them.
    class Treatments
      MOST_CHANGES = 50
      # Of as many as a workroom has at hand.
      KNOWN = Remembered.new(3000)
      KEPT = [
        :id, :sort, Records.text(:spec, :spec), :version, :undoable, :put_away, Records.written(:treatments)
      ].freeze
      private_constant :KNOWN, :KEPT

      def initialize(workroom)
        @workroom = workroom
      end

      # The treatment as it becomes, its change, and its job's date: all of it or nothing, in one question.
      UPDATE = <<~SQL
        WITH was AS (SELECT id, window_id, spec FROM treatments
          WHERE workroom_id = :w AND id = :id AND version = :version FOR UPDATE),
        kept AS (UPDATE treatments AS one
          SET spec = :spec::jsonb, version = one.version + 1, undoable = one.undoable + 1,
            updated_at = CURRENT_TIMESTAMP
          FROM was WHERE one.workroom_id = :w AND one.id = was.id
          RETURNING one.id, one.sort, one.spec::text AS spec, one.version, one.undoable, one.put_away,
            one.xmin::text || one.ctid::text AS written),
        job AS (UPDATE jobs SET updated_at = CURRENT_TIMESTAMP
          WHERE workroom_id = :w
            AND id = (SELECT job_id FROM windows, was WHERE windows.workroom_id = :w AND windows.id = was.window_id)),
        change AS (INSERT INTO changes (workroom_id, treatment_id, before, after, by, version)
          SELECT :w, was.id, was.spec, :spec::jsonb, :by, :version FROM was)
        SELECT * FROM kept
      SQL
      private_constant :UPDATE

      # @param id [Integer]
      # @param spec [Hash]
      # @param version [Integer] as it was read
      # @return [Records::Treatment] as it is now
      # @raise [Stale] where someone else changed it since, [Missing] where it is gone
      def update(id, spec, version:)
        Store.guard do
          given = {w: @workroom.id, id: id, version: version, spec: Sequel.object_to_json(spec), by: @workroom.by}
          row =
            Store
              .prepared(:update_treatment, **given) { Store.db[UPDATE, given.keys.to_h { |name| [name, :"$#{name}"] }] }
              .first
          if row
            record(row)
          else
            raise(@workroom.rows(:treatments).where(id: id).empty? ? Missing : Stale, "treatment #{id}")
          end
        end
      end

      # @param states [Hash{Integer => String}] by id in which state each is ({Records.written})
      # @return [Hash{Integer => Records::Treatment}] by id; only those that nobody has read in that state are asked
      #   for, all at once
      def in_states(states)
        known = states.to_h { |id, written| [id, KNOWN[[id, written]]] }.compact
        known.merge(as_they_are(states.keys - known.keys))
      end

      # @param version [Integer] as it was read
      # @return [Hash, nil] the spec at that version; nil where nobody has kept it
      def at_version(id, version)
        Store.guard { Records.plain(rows_of_changes(id).where(version: version).get(:before)) }
      end

      # Takes the last change back that isn't yet.
      # @return [Boolean] whether there was one
      # @raise [Stale, Missing]
      def take_back(id, version:)
        @workroom.transaction do
          locked(id, version)
          last = rows_of_changes(id).where(taken_back: false).order(Sequel.desc(:id)).first
          next false unless last

          write(id, Records.plain(last[:before]), version, Sequel[:undoable] - 1)
          rows_of_changes(id).where(id: last[:id]).update(taken_back: true)
          true
        end
      end

      # Puts a treatment away, or brings it back; nothing of it is lost.
      # @raise [Missing]
      def put_away(id, away)
        changed = Store.guard do
          @workroom.rows(:treatments).where(id: id).update(put_away: away, version: Sequel[:version] + 1)
        end
        raise Missing, "treatment #{id}" if changed.zero?
      end

      # @return [Array<Records::Change>] the last first, at most MOST_CHANGES
      def changes(id)
        Store.guard { rows_of_changes(id).order(Sequel.desc(:id)).limit(MOST_CHANGES).map { |row| change(row) } }
      end

      private

      def as_they_are(ids)
        return {} if ids.empty?

        rows =
          Store.prepared(:treatments, workroom: @workroom.id, ids: "{#{ids.join(",")}}") do
            Store.db[:treatments]
              .where(workroom_id: :$workroom)
              .where(Sequel.lit("id = ANY(?::int[])", :$ids))
              .select(*KEPT)
          end
        rows.to_h { |row| [row[:id], record(row)] }
      end

      def record(row)
        read = Records.read(row[:spec])
        KNOWN[row.values_at(:id, :written)] = Records::Treatment.new(
          id: row[:id],
          sort: row[:sort],
          spec: read.values,
          source: read.source,
          version: row[:version],
          undoable: row[:undoable],
          put_away: row[:put_away]
        )
      end

      # The row, kept from others until the transaction ends.
      def locked(id, version)
        row = @workroom.rows(:treatments).where(id: id).for_no_key_update.first or raise Missing, "treatment #{id}"
        raise Stale, "treatment #{id}" unless row[:version] == version

        row
      end

      def write(id, spec, version, undoable)
        @workroom
          .rows(:treatments)
          .where(id: id)
          .update(
            spec: Sequel.pg_jsonb(spec),
            version: version + 1,
            undoable: undoable,
            updated_at: Sequel::CURRENT_TIMESTAMP
          )
        windows = @workroom.rows(:windows).where(id: @workroom.rows(:treatments).where(id: id).select(:window_id))
        @workroom.rows(:jobs).where(id: windows.select(:job_id)).update(updated_at: Sequel::CURRENT_TIMESTAMP)
      end

      def rows_of_changes(id) = @workroom.rows(:changes).where(treatment_id: id)

      def change(row)
        Records::Change.new(
          before: Records.plain(row[:before]),
          after: Records.plain(row[:after]),
          taken_back: row[:taken_back],
          at: row[:at],
          by: row[:by]
        )
      end
    end
  end
end
