# frozen_string_literal: true

module EarnestFold
  module Web
    # A treatment as stored, with its window, and its reckoning where it has one; else the problems that stand in the way. `made` is how many
    # of its cuts were made, `done` how many of its steps, `hung` whether it hangs, `invoiced` whether the job's invoice is written.
    Entry = Reckoning::Value.define(:record, :window, :reckoned, :made, :done, :house, :hung, :invoiced) do
      include AtWork

      def alteration? = false

      # @return [Boolean] whether everything is cut
      def cut? = reckoning && made >= Reckoning::Cutting::Demand.by_cloth([reckoning]).sum { |_, cuts| cuts.size }

      # @return [Array<Reckoning::Check>]
      def checks = reckoning ? reckoning.checks : []
    end
  end
end
