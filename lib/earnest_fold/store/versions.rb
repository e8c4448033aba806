# frozen_string_literal: true

module EarnestFold
  module Store
    # At which version rows stand, each of them, as one text that is asked for in one short question: whatever is made
    # of these rows can be remembered under it, as any change makes another text.
    module Versions
      module_function

      # @param rows [Hash{Symbol => Array(Sequel::Dataset, Array<Symbol>)}] by name: the rows, and the columns that tell
      #   one state of a row from another, its key first
      # @return [Sequel::Dataset] one row with such a text for each name
      def of(rows) = Store.db.select(*rows.map { |name, (dataset, columns)| text(dataset, columns).as(name) })

      # @api private
      def text(dataset, columns)
        row = Sequel.function(:concat_ws, ":", *columns)
        dataset.select(Sequel.function(:string_agg, row, " ").order(*columns))
      end
    end
  end
end
