# frozen_string_literal: true

module EarnestFold
  module Web
    # What a treatment that is made and somebody's own curtain have in common, as stored: who includes it has a
    # `record`, a `window`, what was `reckoned`, the names of the steps that are `done`, and the `house`.
    module AtWork
      def id = record.id

      # @return [Array<Reckoning::MakingUp::Step>] its order of work, by the house's schools
      def steps = reckoned.once(:steps, house) { Reckoning::MakingUp::Order.new(reckoning, house).steps }

      # @return [Boolean] whether a step is called so here: by any order of work, not only by today's
      def step_known?(code, curtain)
        kinds = alteration? ? Reckoning::MakingUp::AlteringKinds : Reckoning::MakingUp::Kinds
        !reckoning.nil? && kinds.map { |kind| kind::CODE }.include?(code) && ["", *hands].include?(curtain)
      end

      # @return [Boolean] whether every step is done, each by its name
      def finished? = !reckoning.nil? && done.any? && steps.any? && (steps.map(&:name) - done).empty?

      # @return [Reckoning::TreatmentReckoning, Reckoning::AlterationOfJob, nil] nil while something is wanting
      def reckoning = reckoned.reckoning

      # @return [Array<Reckoning::Problem>] what stands in the way of it
      def problems = reckoned.problems

      # @return [String] its own name where it has one, as layers do, behind the window's
      def title
        place = window.name.empty? ? window.room : window.name
        own = record.spec["name"].to_s
        own.empty? ? place : "#{place}, #{own}"
      end
    end
  end
end
