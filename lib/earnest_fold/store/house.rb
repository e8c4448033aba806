# frozen_string_literal: true

module EarnestFold
  module Store
    # The house: what the workroom has decided, its sets of rules, its tapes, and what small parts it has on hand.
    class House
      # As it is read: `rules` are the core's, `sets` the {RuleSet}s in their order, `on_hand` counts and lengths by
      # part, `tapes` the {Records::Tape}s by name. `state` stands for all of it: whatever changes, it is another one.
      # `unread` names the rules that can't be read as they are kept, and stand as they begin.
      Record = Reckoning::Value.define(
        :name, :unit, :rules, :unread, :stored, :on_hand, :version, :sets, :tapes, :state
      ) do
        # @param id [String, Integer, nil]
        # @return [Records::Tape, nil]
        def tape(id) = id && tapes.find { |one| one.id.to_s == id.to_s }

        # @param id [String, nil]
        # @return [RuleSet, nil]
        def set(id) = sets.find { |one| one.id.to_s == id.to_s }

        # @return [RuleSet] the one that stands first
        def first_set = sets.first

        # @return [RuleSet] the one that a new window takes while nobody chooses: nothing hangs behind its face yet
        def starting_set = sets.find { |set| set.spec.dig("metric", "lining").nil? } || first_set

        # @return [Hash] what a lining starts from where the treatment's own set says nothing of one
        def lining(set, unit) = [set, *sets].compact.filter_map { |one| one.lining(unit) }.first || {}
      end

      MADE = Remembered.new(20)
      private_constant :MADE

      def initialize(workroom)
        @workroom = workroom
      end

      # A row written anew has another xmin, or, by the same transaction, another version.
      # @param workroom [Integer, Symbol] its id, or where that is to be given
      # @return [Sequel::Dataset] one text: in which state everything is that the house has decided
      def self.state(workroom)
        each_row = "string_agg(concat_ws('.', id, version, xmin), ' ' ORDER BY id)"
        rules, tapes = %i[rule_sets tapes].map do |table|
          Store.db[table].where(workroom_id: workroom).select(Sequel.lit(each_row))
        end
        own = Sequel.lit("version || '.' || xmin::text")
        all = Sequel.function(:concat_ws, "/", own, rules, tapes)
        Store.db[:workrooms].where(id: workroom).select(Sequel.function(:md5, all).as(:state))
      end

      # @return [Record] in one question while nothing changes
      def read = Store.guard { in_state(rows(:house_state) { House.state(:$workroom) }.first[:state]) }

      # @param state [String] as {state} gives it
      # @return [Record] the same
      def in_state(state)
        MADE.fetch([@workroom.id, state]) do
          there = rows(:house) { house }
          next made(there) if there.first[:set_id]

          begin_sets
          return made(rows(:house) { house })
        end
      end

      # @param values [Hash] name, unit, rules, on_hand: those to change
      # @param version [Integer] as it was read
      # @raise [Stale]
      def update(version:, **values)
        json = values.slice(:rules, :on_hand).transform_values { |value| Sequel.pg_jsonb(value) }
        changed = Store.guard { row.where(version: version).update(**values, **json, version: version + 1) }
        raise Stale, "the house" unless changed == 1
      end

      # @param id [Integer]
      # @raise [Stale, Missing, Taken]
      def update_set(id, name:, spec:, version:)
        named { @workroom.change(:rule_sets, id, version: version, name: name, spec: Sequel.pg_jsonb(spec)) }
      end

      # @return [Integer] the id of a new set
      # @raise [Taken]
      def add_set(name:, spec:) =
        named { @workroom.insert(:rule_sets, name: name, spec: Sequel.pg_jsonb(spec), position: next_position)[:id] }

      private

      def rows(name, &query) = Store.prepared(name, workroom: @workroom.id, &query)

      def row = Store.db[:workrooms].where(id: @workroom.id)

      def joined =
        Store.db[:workrooms]
          .where(Sequel[:workrooms][:id] => :$workroom)
          .left_join(:rule_sets, workroom_id: Sequel[:workrooms][:id])
          .order(Sequel[:rule_sets][:position], Sequel[:rule_sets][:id])

      def house
        joined.select(
          Sequel[:workrooms][:name],
          :unit,
          Records.text(:rules, :rules),
          Records.text(:on_hand, :on_hand),
          Sequel[:workrooms][:version],
          Sequel[:rule_sets][:id].as(:set_id),
          Sequel[:rule_sets][:name].as(:set_name),
          Records.text(:spec, :spec),
          Sequel[:rule_sets][:version].as(:set_version)
        )
      end

      # A workroom of before there were sets, or a fresh one.
      def begin_sets
        @workroom.transaction do
          row.for_no_key_update.first
          if @workroom.rows(:rule_sets).empty?
            StartingRules::SETS.each_with_index do |(name, spec), index|
              @workroom.insert(:rule_sets, name: name, spec: Sequel.pg_jsonb(spec), position: index + 1)
            end
          end
        end
      end

      def next_position = (@workroom.rows(:rule_sets).max(:position) || 0) + 1

      def named
        @workroom.transaction { yield }
      rescue Sequel::UniqueConstraintViolation
        raise Taken, "a set of that name"
      end

      def made(rows)
        first = rows.first
        stored = Records.parsed(first[:rules])
        rules, unread = Reckoning::HouseRules.as_far_as_read(stored, Reckoning::Units::CM)
        sets = rows.map do |one|
          RuleSet.new(
            id: one[:set_id],
            name: one[:set_name],
            spec: Records.parsed(one[:spec]),
            version: one[:set_version]
          )
        end
        Record.new(
          name: first[:name],
          unit: first[:unit],
          rules: rules,
          unread: unread.freeze,
          stored: stored,
          on_hand: Records.parsed(first[:on_hand]),
          version: first[:version],
          sets: sets.freeze,
          tapes: @workroom.tapes.all.freeze,
          state: Object.new.freeze
        )
      end
    end
  end
end
