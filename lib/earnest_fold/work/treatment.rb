# frozen_string_literal: true

module EarnestFold
  module Work
    # A treatment that is made here, as stored, with its window, and its reckoning where it has one.
    class Treatment
      include AtWork

      # Where a check speaks; what isn't named here speaks at the cloth.
      CHECKS = {"readings_spread" => "measure", "carriers_short" => "heading", "fullness_thin" => "cloth"}.freeze
      # Which parts of a document must be readable for a station to be done.
      PLACES = {
        "measure" => %r{\A/(support|opening|drop|return|overlap|ease|site|wall|notes|name)},
        "heading" => %r{\A/heading},
        "cloth" => %r{\A/(face|making|lining|pattern|run)}
      }.freeze
      STATIONS = %w[measure heading cloth cutting making hanging account].freeze

      # @return [Array<String>] in the order of the work
      def stations = STATIONS

      def alteration? = false

      # @return [Enumerable] the steps that there can be
      def order_kinds = Reckoning::MakingUp::Kinds

      # @return [Boolean] whether everything is cut, each width by its name
      def cut?
        there = made.tally
        !reckoning.nil? && to_be_cut.tally.all? { |name, count| there.fetch(name, 0) >= count }
      end

      # @return [Array<String>] which curtains there are
      def hands = reckoning ? reckoning.curtains.map(&:hand) : []

      # @return [Array<Reckoning::Check>]
      def checks = reckoning ? reckoning.checks : []

      # @return [Array<Reckoning::Check>] those that speak at a station
      def checks_at(station) = checks.select { |check| CHECKS.fetch(check.code, "cloth") == station }

      # @return [Boolean] whether anything is wanting at a station where fields are filled in, or before it
      def wanting?(station)
        place = STATIONS.index(station)
        return true if place.positive? && Stations.open?(self, STATIONS[place - 1])

        problems.any? { |problem| PLACES.fetch(station).match?(problem.at) }
      end

      # @param answers [Array<String>] the codes of the questions that have been answered
      # @return [Array<Reckoning::Remark>] what an experienced maker would say of it
      def judged(answers = [], **asked) =
        Reckoning::Judgement.of(reckoning.treatment, reckoning, answers, house: house, **asked)

      # @return [Array] what else lists, books, diary and papers ask for
      def asked_for = [Reckoning::Cutting::Demand.by_cloth([reckoning]), Reckoning::Sundries.of(reckoning)]

      # @return [Reckoning::Account::Billed] as it stands in the account
      def billed =
        Reckoning::Account::Billed.new(
          title: title,
          minutes: minutes_by_step.values.sum(0r),
          widths: reckoning.widths_total,
          drop: reckoning.finished_drop,
          curtains: reckoning.curtains.size,
          altered: false
        )

      # @return [String, nil] the cloth that it is made of
      def cloth_name = reckoning.treatment.face.name

      # @return [Boolean] whether its cloth must have relaxed before it is cut
      def cloth_relaxes? =
        !!Reckoning::Judgement::ClothRelaxes.call(
          Reckoning::JudgementCase.new(
            treatment: reckoning.treatment,
            reckoning: reckoning,
            behind: nil,
            house: house,
            counted: [],
            cutting: nil
          )
        )

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
