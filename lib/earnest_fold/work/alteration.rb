# frozen_string_literal: true

module EarnestFold
  module Work
    # Somebody's own curtain that is altered, as stored, with where it hangs.
    class Alteration
      include AtWork

      # @return [String]
      #
      #   own.sort # => "altered"
      def sort = Station::ALTERED

      # @return [String] the kind of alteration
      #
      #   own.altered_as # => "shorten_at_hem"
      def altered_as = record.spec["kind"]

      # @return [Boolean] whether layers hang behind and before it
      #
      #   own.layers? # => false
      def layers? = false

      # @return [#[]] the steps that there can be, by their codes: those of a heading too
      #
      #   own.order_kinds["press_hem"].code # => "press_hem"
      def order_kinds =
        ->(code) { Reckoning::MakingUp::AlteringSteps::Kinds[code] || Reckoning::MakingUp::Steps::Kinds[code] }

      # @return [Array<String>] which curtains there are
      #
      #   own.hands # => ["single"]
      def hands = Reckoning::OwnCurtain.hands(curtains_said)

      # @return [Array<Reckoning::Check>]
      #
      #   own.checks # => []
      def checks = reckoning ? reckoning.stops : []

      # @return [Array<Reckoning::Check>] those that speak at a station
      #
      #   own.checks_at("measure") # => []
      def checks_at(station) = (station == "alter") ? checks : []

      # @param path [String] of a field
      # @return [Boolean] whether it can't be left empty: any figure of somebody's own curtain may be wanting still
      #
      #   own.needs?("kind") # => true
      def needs?(path) = SpecFields.kind(path, record.spec).decides?

      # @return [nil] it came with its cloth
      #
      #   own.face # => nil
      def face = nil

      # @param answers [Array<String>] the codes of the questions that have been answered
      # @return [Array<Reckoning::Remark>] what an experienced maker would say of it
      #
      #   own.judged.map(&:code).first # => "support_weight"
      def judged(answers = [], **asked) =
        Reckoning::Judgement.of_alteration(reckoning, answers, house: house, **asked)

      # @param station [String]
      # @param more [Hash] what else is looked at there: whether anything was noted as it came in
      # @return [Array<Reckoning::Remark>] what an experienced maker would say there
      #
      #   own.said_at("alter", in_hand).map(&:code).first # => "keep_made_hem"
      def said_at(station, _job, **more) = reckoning ? judged(answered, station: station, **more) : []

      # @return [Reckoning::AlterCase] what the judgement looks at while it is altered
      #
      #   own.looked_at(in_hand).noted # => true
      def looked_at(_job) = Reckoning::AlterCase.new(made: reckoning, house: house, noted: true, priced: nil)

      # @return [AlteredHanging] what hanging it takes
      #
      #   own.hanging(in_hand).hands # => ["single"]
      def hanging(_job) = AlteredHanging.new(self)

      # @return [Array] what else lists, books, diary and papers ask for
      #
      #   own.asked_for.size # => 2
      def asked_for = [reckoning.alteration.edges, reckoning.alteration.length_at_last]

      # @return [Reckoning::Account::Billed] as it stands in the account
      #
      #   own.billed.altered # => true
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
      #
      #   own.cloth_name # => nil
      def cloth_name = nil

      # @return [String] what a document called it, or will
      #
      #   own.document_id # => "landing"
      def document_id = record.spec.fetch("id") { record.id.to_s }

      private

      # Known before anything is measured.
      def curtains_said
        field = Reckoning::OwnCurtain::FIELDS.fetch(:curtains)
        said = record.spec.fetch("curtains", field.default)
        field.kind.read(said, Reckoning::Units::MM, Reckoning::Problems.new) || field.default
      end
    end
  end
end
