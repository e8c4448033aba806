# frozen_string_literal: true

module EarnestFold
  module Store
    # All that a workroom has, as rows that anybody can read, and in again just as they were: with the same numbers, so
    # that whatever names another still does. What belongs to the door stays: accounts, invitations and links.
    class WholeWorkroom
      # What is no work of theirs, or is made anew by itself.
      LEFT = %i[taken_once errands kept_plans invitations customer_links prints meters meter_readings supply
        told_wrong].freeze
      # What of a row belongs to the door.
      DOORS = {people: %w[account_id calendar_print], paper_answers: %w[link_id]}.freeze
      OF_HOUSE = %w[name unit rules on_hand version].freeze
      # What a workroom begins with, and an archive brings along.
      BEGUN = %i[people rule_sets].freeze
      # What goes outside by a queue, which stays where it was.
      GOING = %i[letters orders].freeze
      # A table: its columns that are written (bytes apart), its key, and the tables that it names.
      Table = Reckoning::Value.define(:name, :columns, :bytes, :key, :names)
      # Rows as JSON, one a line, by table; and bytes by table, row and column.
      Rows = Reckoning::Value.define(:house, :tables, :bytes)

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @return [Boolean] whether there is no work in it yet, nor anything that is left of some
      def empty? = Store.guard { (names - BEGUN).all? { |table| @workroom.rows(table).empty? } }

      # @return [Integer] the state of the tables: rows fit tables of the same
      def self.version = Store.guard { Store.db[:schema_info].get(:version) }

      # @return [Rows] as it is at one moment
      def rows
        Store.guard do
          Store.db.transaction(isolation: (:repeatable unless Store.db.in_transaction?), savepoint: true) do
            Store.db.run("SET LOCAL timezone = 'UTC'")
            all = tables
            Rows.new(
              house: Store.db[:workrooms].where(id: @workroom.id).get(plain(OF_HOUSE, :workrooms)),
              tables: all.to_h { |table| [table.name, lines(table)] },
              bytes: all.flat_map { |table| bytes(table) }.to_h
            )
          end
        end
      end

      # Inside a transaction, into a workroom without any work in it. Who belongs to it stays.
      # @param rows [Rows]
      # @raise [Taken] where there is work in it
      # @raise [Reckoning::Invalid] where a row fits nowhere
      def fill(rows)
        raise Taken, "there is work in it" unless empty?

        accounts = @workroom.rows(:people).exclude(account_id: nil).all
        BEGUN.each { |table| @workroom.rows(table).delete }
        Store.db[:workrooms].where(id: @workroom.id).update(house(rows.house))
        tables.each { |table| put(table, rows) }
        accounts.each { |person| belongs(person) }
        GOING.each { |table| left_behind(table) }
      rescue Sequel::DatabaseError => error
        raise if UNWRITTEN.any? { |kind| error.wrapped_exception.is_a?(kind) }

        problem = Reckoning::Problem.new(at: "", code: :not_an_archive, data: {})
        raise Reckoning::Invalid, [problem], cause: error
      end

      private

      # Those that are named before those that name them.
      def tables = in_order(names.map { |name| table(name) })

      def names =
        Store.db[Sequel[:information_schema][:columns]]
          .where(column_name: "workroom_id", table_schema: Sequel.function(:current_schema))
          .select_order_map(:table_name).map(&:to_sym) - LEFT

      def table(name)
        columns = Store.db[Sequel[:information_schema][:columns]]
          .where(table_name: name.to_s, table_schema: Sequel.function(:current_schema), is_generated: "NEVER")
          .exclude(column_name: ["workroom_id", *DOORS[name]]).order(:ordinal_position)
          .select_map([:column_name, :data_type])
        bytes, rest = columns.partition { |_, type| type == "bytea" }
        Table.new(name: name, columns: rest.map(&:first), bytes: bytes.map(&:first), key: key(name), names: named(name))
      end

      def key(name) = Store.db.fetch(<<~SQL, name.to_s).map { |row| row[:attname].to_sym } - [:workroom_id]
        SELECT a.attname FROM pg_index i JOIN pg_attribute a ON a.attrelid = i.indrelid AND a.attnum = ANY (i.indkey)
          WHERE i.indrelid = ?::regclass AND i.indisprimary ORDER BY array_position(i.indkey::int[], a.attnum::int)
      SQL

      def named(name) = Store.db.fetch(<<~SQL, name.to_s).map { |row| row[:other].to_sym } - [name]
        SELECT DISTINCT confrelid::regclass::text AS other FROM pg_constraint
          WHERE contype = 'f' AND conrelid = ?::regclass
      SQL

      def in_order(all, done = [])
        return done if all.empty?

        ready, later = all.partition { |table| ((table.names & all.map(&:name)) - [table.name]).empty? }
        in_order(later, done + ready.sort_by(&:name))
      end

      # Whatever the order of columns is, the same rows are the same text.
      def plain(columns, table)
        pairs = columns.flat_map { |name| [name, Sequel[table][name.to_sym]] }
        Sequel.cast(Sequel.function(:jsonb_build_object, *pairs), String)
      end

      def lines(table) =
        @workroom.rows(table.name).order(*table.key.map { |one| Sequel[table.name][one] })
          .select_map(plain(table.columns, table.name).as(:line))

      def bytes(table)
        table.bytes.flat_map do |column|
          @workroom.rows(table.name).exclude(column.to_sym => nil).order(:id).select_map([:id, column.to_sym])
            .map { |id, bytes| [[table.name, id, column], bytes.b] }
        end
      end

      def house(line)
        told = Sequel.parse_json(line).to_h
        json = %w[rules on_hand].to_h { |name| [name.to_sym, Sequel.pg_jsonb(told.fetch(name))] }
        {name: told["name"], unit: told["unit"], version: Integer(told["version"]), **json}
      end

      def put(table, rows)
        columns = (table.columns + table.bytes).map(&:to_sym)
        rows.tables.fetch(table.name, []).each do |line|
          told = Sequel.parse_json(line).to_h
          table.bytes.each { |name| told[name] = hex(rows.bytes[[table.name, told["id"], name]]) }
          record = Sequel.function(
            :jsonb_populate_record, Sequel.lit("NULL::#{table.name}"), Sequel.cast(Sequel.object_to_json(told), :jsonb)
          )
          row = Store.db.from(record.as(:told)).select(@workroom.id, *columns.map { |name| Sequel[:told][name] })
          Store.db[table.name].insert([:workroom_id, *columns], row)
        end
        counted(table)
      end

      def hex(bytes) = bytes && "\\x#{bytes.unpack1("H*")}"

      # What is made from now on takes numbers behind those that came.
      def counted(table)
        return unless table.columns.include?("id")

        last = @workroom.rows(table.name).max(:id) or return
        Store.db.get(Sequel.lit(<<~SQL, table.name.to_s, table.name.to_s, last))
          setval(pg_get_serial_sequence(?, 'id'), greatest(nextval(pg_get_serial_sequence(?, 'id')), ?))
        SQL
      end

      # What still waited to go says so, instead of waiting for ever: nobody knows here whether it should still go.
      def left_behind(table)
        @workroom.rows(table).where(state: "waiting")
          .update(state: "failed", why: "moved", ended_at: Sequel::CURRENT_TIMESTAMP)
      end

      # By their name the person that came; else they are added.
      def belongs(person)
        account = person.slice(:account_id)
        return if @workroom.rows(:people).where(name: person[:name], account_id: nil).update(account) == 1

        @workroom.insert(:people, **person.slice(:name, :role, :books), **account)
      end
    end
  end
end
