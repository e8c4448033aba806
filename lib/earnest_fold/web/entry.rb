# frozen_string_literal: true

module EarnestFold
  module Web
    # A treatment as stored, with its window, and its reckoning where it has one; else the problems that stand in the way.
    # `made` is how many of its cuts were made, `done` how many of its steps, `hung` whether it hangs, `invoiced` whether the job's invoice is written.
    Entry = Reckoning::Value.define(:record, :window, :reckoned, :made, :done, :house, :hung, :invoiced) do
      def id = record.id

      def alteration? = false

      # @return [Array<Reckoning::MakingUp::Step>] the order of making, by the house's schools
      def steps = reckoned.once(:steps, house) { Reckoning::MakingUp::Order.new(reckoning, house).steps }

      # @return [Boolean] whether every step is done
      def finished? = reckoning && done.positive? && done >= steps.size

      # @return [Boolean] whether everything is cut
      def cut? = reckoning && made >= Reckoning::Cutting::Demand.by_cloth([reckoning]).sum { |_, cuts| cuts.size }

      # @return [Reckoning::TreatmentReckoning, nil]
      def reckoning = reckoned.reckoning

      # @return [Array<Reckoning::Problem>]
      def problems = reckoned.problems

      # @return [String] its own name where it has one, as layers do; else the window's
      def title
        place = window.name.empty? ? window.room : window.name
        own = record.spec["name"].to_s
        own.empty? ? place : "#{place}, #{own}"
      end

      # @return [Array<Reckoning::Check>]
      def checks = reckoning ? reckoning.checks : []
    end
  end
end
