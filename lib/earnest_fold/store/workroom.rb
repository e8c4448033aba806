# frozen_string_literal: true

module EarnestFold
  module Store
    # A workroom and everything that belongs to it: the only door to the rows.
    class Workroom
      attr_reader :id, :name, :unit

      def initialize(id, name, unit)
        @id, @name, @unit = id, name, unit
        freeze
      end

      # @return [Jobs]
      def jobs = Jobs.new(self)

      # @return [Treatments]
      def treatments = Treatments.new(self)

      # @return [Cloths]
      def cloths = Cloths.new(self)

      # @param table [Symbol]
      # @return [Sequel::Dataset] this workroom's rows alone
      def rows(table) = Store.db[table].where(Sequel[table][:workroom_id] => id)

      # @return [Hash] the row made
      def insert(table, values) = Store.guard { rows(table).returning.insert(values.merge(workroom_id: id)).first }

      # @yield one transaction
      def transaction(&block) = Store.guard { Store.db.transaction(&block) }
    end
  end
end
