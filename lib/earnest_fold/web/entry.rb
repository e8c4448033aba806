# frozen_string_literal: true

module EarnestFold
  module Web
    # A treatment as stored, with its window, and its reckoning where it has one; else the problems that stand in the
    # way. `made` are the names of the cuts that were made (cloth, curtain, width), `done` those of its steps (code,
    # curtain), `hung` whether it hangs, `invoiced` whether the job's invoice is written.
    Entry = Reckoning::Value.define(:record, :window, :reckoned, :made, :done, :house, :hung, :invoiced) do
      include AtWork

      def alteration? = false

      # @return [Boolean] whether everything is cut, each width by its name
      def cut?
        there = made.tally
        !reckoning.nil? && to_be_cut.tally.all? { |name, count| there.fetch(name, 0) >= count }
      end

      # @return [Array<String>] which curtains there are
      def hands = reckoning ? reckoning.curtains.map(&:hand) : []

      # @return [Array<Reckoning::Check>]
      def checks = reckoning ? reckoning.checks : []

      private

      # Face and lining may be the same cloth: then a name is there twice.
      def to_be_cut
        Reckoning::Cutting::Demand
          .by_cloth([reckoning])
          .flat_map { |cloth, cuts| cuts.map { |cut| [cloth, cut.curtain, cut.number] } }
      end
    end
  end
end
