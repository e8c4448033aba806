# frozen_string_literal: true

module EarnestFold
  module Work
    # Somebody's own curtain that is altered, as stored, with where it hangs.
    class Alteration
      include AtWork

      STATIONS = %w[measure alter making hanging account].freeze
      # What must be readable for Measure to be done.
      MEASURED = Regexp.new(
        "\\A/(existing_length|wanted_length|stand_up|curtains|width|widths|motif|band|" \
        "cloth_width|cloth_length|panel_width|finished_width)"
      )

      # @return [Array<String>] in the order of the work
      def stations = STATIONS

      def alteration? = true

      # @return [Enumerable] the steps that there can be
      def order_kinds = Reckoning::MakingUp::AlteringKinds

      # @return [Array<String>] which curtains there are
      def hands = reckoning ? reckoning.curtain.hands : []

      # @return [Array<Reckoning::Check>]
      def checks = reckoning ? reckoning.stops : []

      # @return [Array<Reckoning::Check>] those that speak at a station
      def checks_at(station) = (station == "alter") ? checks : []

      # @return [Boolean] whether anything is wanting at a station where fields are filled in, or before it
      def wanting?(station) = problems.any? { |problem| (station == "alter") || MEASURED.match?(problem.at) }

      # @param answers [Array<String>] the codes of the questions that have been answered
      # @return [Array<Reckoning::Remark>] what an experienced maker would say of it
      def judged(answers = [], **asked) =
        Reckoning::Judgement.of_alteration(reckoning, answers, house: house, **asked)

      # @return [Array] what else lists, books, diary and papers ask for
      def asked_for = [reckoning.alteration.edges, reckoning.alteration.length_at_last]

      # @return [Reckoning::Account::Billed] as it stands in the account
      def billed =
        Reckoning::Account::Billed.new(
          title: title,
          minutes: minutes_by_step.values.sum(0r),
          widths: reckoning.curtain.curtains * reckoning.curtain.widths,
          drop: reckoning.alteration.length_at_last,
          curtains: reckoning.curtain.curtains,
          altered: true
        )

      # @return [nil] it came with its cloth
      def cloth_name = nil

      # @return [String] what a document called it, or will
      def document_id = record.spec.fetch("id") { record.id.to_s }
    end
  end
end
