# frozen_string_literal: true

module EarnestFold
  module Store
    # Plans that took long, each under what it was made from: nobody makes one twice.
    class KeptPlans
      DAYS_KEPT = 60

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param mark [String] of what it is made from
      # @return [Hash, nil] as it was written
      def find(mark) = Store.guard { rows.where(mark: mark).get(:plan)&.to_h }

      # @param plan [Hash] of texts, numbers and lists
      def keep(mark, plan)
        values = {workroom_id: @workroom.id, mark: mark, plan: Sequel.pg_jsonb(plan)}
        Store.guard { rows.insert_conflict.insert(values) }
      end

      # What nobody asks for any more.
      def forget_old =
        Store.guard { rows.where(Sequel[:at] < Sequel.lit("now() - interval '#{DAYS_KEPT} days'")).delete }

      private

      def rows = @workroom.rows(:kept_plans)
    end
  end
end
