# frozen_string_literal: true

module EarnestFold
  module Work
    # A treatment that is made here, as stored, with its window, and its reckoning where it has one.
    class Treatment
      include AtWork

      # @return [String]
      def sort = Station::MADE

      # @return [nil] nothing is altered
      def altered_as = nil

      # @return [Boolean] whether layers hang behind and before it
      def layers? = true

      # @return [Enumerable] the steps that there can be
      def order_kinds = Reckoning::MakingUp::Steps::Kinds

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
      def checks_at(station) = checks.select { |check| Reckoning::Checks.station_of(check) == station }

      # @param path [String] of a field
      # @return [Boolean] whether it can't be left empty; what leaving out a cloth means, its list says
      def needs?(path)
        if path == "support.length"
          return Reckoning::Support.length_needed?(*[%w[opening kind], %w[ordered finished_width]].map { |at|
            record.spec.dig(*at)
          })
        end

        !path.match?(/\A(face|lining|interlining)/) && SpecFields.field(path, record.spec).required?
      end

      # @return [Reckoning::Cloth, nil]
      def face = reckoning&.treatment&.face

      # @param answers [Array<String>] the codes of the questions that have been answered
      # @return [Array<Reckoning::Remark>] what an experienced maker would say of it
      def judged(answers = [], **asked) =
        Reckoning::Judgement.of(reckoning.treatment, reckoning, answers, house: house, **asked)

      # @param station [String]
      # @param job [Job] that it belongs to
      # @param more [Hash] what else is looked at there
      # @return [Array<Reckoning::Remark>] what an experienced maker would say there, also before it has its cloths
      def said_at(station, job, **more)
        treatment = job.asked(self) or return []

        Reckoning::Judgement.of(
          treatment,
          reckoning,
          answered,
          station: station,
          behind: job.behind(self),
          house: house,
          counted: job.hardware(self),
          **more
        )
      end

      # @param job [Job, nil] nil where only its own steps are looked at
      # @return [Reckoning::JudgementCase] what the judgement looks at while it is made
      def looked_at(job) =
        Reckoning::JudgementCase.new(
          treatment: reckoning.treatment,
          reckoning: reckoning,
          behind: job&.behind(self),
          house: house,
          counted: nil,
          cutting: nil
        )

      # @param job [Job]
      # @return [Hanging] what hanging it takes
      def hanging(job) = Hanging.new(job, self)

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
        !!Reckoning::Judgement::Rules.fetch("cloth_relaxes").made.call(
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
