# frozen_string_literal: true

module EarnestFold
  module Store
    # At which version rows stand, each of them, as one text that is asked for in one short question: whatever is made
    # of these rows can be remembered under it, as any change makes another text.
    module Versions
      # So many columns tell one row from another.
      KEY = 2
      private_constant :KEY

      module_function

      # @param rows [Hash{Symbol => Array(Sequel::Dataset, Array<Symbol>)}] by name: the rows, and the columns that tell
      #   one state of a row from another, its key first (one column or two)
      # @return [Sequel::Dataset] one row with such a text for each name
      def of(rows) = Store.db.select(*rows.map { |name, (dataset, columns)| text(dataset, columns).as(name) })

      # @param table [Symbol]
      # @param more [Array] what else tells one state of a row from another
      # @return [Array] the columns that do: a row written anew has another xmin, or, by the same transaction, another
      #   place
      def columns(table, *more)
        own = Sequel[table]
        [own[:id], own[:xmin].cast(:text), own[:ctid].cast(:text), *more]
      end

      # @param column [Symbol]
      # @param ids [Sequel::Dataset] of few rows
      # @return [Object] a condition: they are found first, and looked up then; else all rows would be gone through
      def among(column, ids) = Sequel.lit("? = ANY(ARRAY(?))", column, ids)

      # @param dataset [Sequel::Dataset]
      # @param columns [Array] as {of} takes them
      # @return [Sequel::Dataset] one text; nil where there is no row
      def text(dataset, columns) = dataset.select(of_all(columns).as(:state))

      # @param columns [Array] as {of} takes them
      # @return [Sequel::SQL::Function] of all rows together, one text
      def of_all(columns)
        row = Sequel.function(:concat_ws, ":", *columns)
        Sequel.function(:md5, Sequel.function(:string_agg, row, " ").order(*columns.first(KEY)))
      end
    end
  end
end
