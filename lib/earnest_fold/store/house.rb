# frozen_string_literal: true

module EarnestFold
  module Store
    # The house: what the workroom has decided, its sets of rules, and what small parts it has on hand.
    class House
      # As it is read: `rules` are the core's, `sets` the {RuleSet}s in their order, `on_hand` counts and lengths by part.
      Record = Reckoning::Value.define(:name, :unit, :rules, :stored, :on_hand, :version, :sets) do
        # @param id [String, nil]
        # @return [RuleSet, nil]
        def set(id) = sets.find { |one| one.id.to_s == id.to_s }

        # @return [RuleSet] the one that new windows take
        def first_set = sets.first

        # @return [Hash] what a lining starts from where the treatment's own set says nothing of one
        def lining(set, unit) = [set, *sets].compact.filter_map { |one| one.lining(unit) }.first || {}
      end

      def initialize(workroom)
        @workroom = workroom
      end

      # @return [Record] in one question
      def read
        Store.guard do
          begin_sets unless rows.first[:set_id]
          record(rows)
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
        named do
          rows = @workroom.rows(:rule_sets).where(id: id)
          changed = rows.where(version: version).update(name: name, spec: Sequel.pg_jsonb(spec), version: version + 1)
          raise rows.empty? ? Missing : Stale, "rule set #{id}" unless changed == 1
        end
      end

      # @return [Integer] the id of a new set
      # @raise [Taken]
      def add_set(name:, spec:) = named { @workroom.insert(:rule_sets, name: name, spec: Sequel.pg_jsonb(spec), position: next_position)[:id] }

      private

      def rows = Store.prepared(:house, workroom: @workroom.id) { house }

      def row = Store.db[:workrooms].where(id: @workroom.id)

      def house
        Store.db[:workrooms].where(Sequel[:workrooms][:id] => :$workroom).left_join(:rule_sets, workroom_id: Sequel[:workrooms][:id]).order(Sequel[:rule_sets][:position], Sequel[:rule_sets][:id])
          .select(Sequel[:workrooms][:name], :unit, :rules, :on_hand, Sequel[:workrooms][:version], Sequel[:rule_sets][:id].as(:set_id), Sequel[:rule_sets][:name].as(:set_name), :spec,
            Sequel[:rule_sets][:version].as(:set_version))
      end

      # A workroom of before there were sets, or a fresh one.
      def begin_sets
        @workroom.transaction do
          row.for_update.first
          if @workroom.rows(:rule_sets).empty?
            StartingRules::SETS.each_with_index { |(name, spec), index| @workroom.insert(:rule_sets, name: name, spec: Sequel.pg_jsonb(spec), position: index + 1) }
          end
        end
      end

      def next_position = (@workroom.rows(:rule_sets).max(:position) || 0) + 1

      def named
        @workroom.transaction { yield }
      rescue Sequel::UniqueConstraintViolation
        raise Taken, "a set of that name"
      end

      def record(rows)
        first = rows.first
        stored = Records.plain(first[:rules])
        sets = rows.map { |one| RuleSet.new(id: one[:set_id], name: one[:set_name], spec: Records.plain(one[:spec]), version: one[:set_version]) }
        Record.new(name: first[:name], unit: first[:unit], rules: Reckoning::HouseRules.read(stored, Reckoning::Units::CM), stored: stored, on_hand: Records.plain(first[:on_hand]),
          version: first[:version], sets: sets.freeze)
      end
    end
  end
end
