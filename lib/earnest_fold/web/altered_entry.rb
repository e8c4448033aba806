# frozen_string_literal: true

module EarnestFold
  module Web
    # Somebody's own curtain as stored, with where it hangs; its `reckoning` is the {Reckoning::AlterationOfJob}, nil while something is
    # wanting.
    AlteredEntry = Reckoning::Value.define(:record, :window, :reckoned, :done, :house, :hung, :invoiced) do
      def id = record.id

      def alteration? = true

      # @return [Array<Reckoning::MakingUp::Step>]
      def steps = reckoned.once(:steps, house) { Reckoning::MakingUp::Order.new(reckoning, house).steps }

      # @return [Boolean] whether every step is done
      def finished? = reckoning && done.positive? && done >= steps.size

      # @return [Reckoning::AlterationOfJob, nil]
      def reckoning = reckoned.reckoning

      def problems = reckoned.problems

      def made = 0

      # @return [String]
      def title
        place = [window.name, window.room].reject(&:empty?).first.to_s
        own = record.spec["name"].to_s
        own.empty? ? place : "#{place}, #{own}"
      end

      # @return [Array<Reckoning::Check>]
      def checks = reckoning ? reckoning.stops : []

      # @return [String] what a document called it, or will
      def document_id = record.spec.fetch("id") { record.id.to_s }
    end
  end
end
