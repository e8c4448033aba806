# frozen_string_literal: true

module EarnestFold
  module Store
    # The copies of everything that were made: what is known of the last.
    module Copies
      # So long ago, and somebody should look why.
      OLD = 2 * 86_400
      Copy = Reckoning::Value.define(:at, :name, :bytes)

      module_function

      # @return [Copy, nil]
      def last =
        Store.guard do
          row = Store.db[:copies].order(Sequel.desc(:id)).first
          row && Copy.new(**row.slice(:at, :name, :bytes))
        end

      # @param workroom [Workroom]
      # @param now [Time]
      # @return [Boolean] whether there is work older than the last copy may be
      def old?(workroom, now)
        made = last&.at || Store.guard { workroom.rows(:jobs).min(:created_at) } || now
        now - made > OLD
      end
    end
  end
end
