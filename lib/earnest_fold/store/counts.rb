# frozen_string_literal: true

module EarnestFold
  module Store
    # How the whole house stands, whatever workroom: for whoever looks after the machine. Nobody's rows are told.
    module Counts
      ERRANDS = "SELECT state, count(*) FROM errands GROUP BY state"
      AGE = Sequel.lit("extract(epoch FROM now() - max(at))")
      private_constant :ERRANDS, :AGE

      module_function

      # @return [Hash{Symbol => Numeric}] errands that wait, run, and weren't done; people signed in; seconds since the
      #   last copy, where there is one
      # @raise [Unreachable]
      def now
        Store.guard do
          errands = Store.db.fetch(ERRANDS).to_h { |row| row.values_at(:state, :count) }
          {
            errands_waiting: errands.fetch("waiting", 0),
            errands_running: errands.fetch("running", 0),
            errands_failed: errands.fetch("failed", 0),
            devices: Store.db[:account_active_session_keys].count,
            copy_age: Store.db[:copies].get(AGE)&.to_i
          }.compact
        end
      end
    end
  end
end
