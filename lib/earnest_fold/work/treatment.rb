# frozen_string_literal: true

module EarnestFold
  module Work
    # A treatment that is made here, as stored, with its window, and its reckoning where it has one.
    class Treatment
      include AtWork

      # @return [String]
      #
      #   work.sort # => "made"
      def sort = Station::MADE

      # @return [nil] nothing is altered
      #
      #   work.altered_as # => nil
      def altered_as = nil

      # @return [Boolean] whether layers hang behind and before it
      #
      #   work.layers? # => true
      def layers? = true

      # @return [Enumerable] the steps that there can be
      #
      #   work.order_kinds.to_a.size # => 62
      def order_kinds = Reckoning::MakingUp::Steps::Kinds

      # @return [Boolean] whether everything is cut, each width by its name
      #
      #   work.cut? # => false
      def cut?
        return false if reckoning.nil? || made.empty?

        there = made.tally
        to_be_cut.tally.all? { |name, count| there.fetch(name, 0) >= count }
      end

      # @return [Array<String>] which curtains there are
      #
      #   work.hands # => ["left", "right"]
      def hands = reckoning ? reckoning.curtains.map(&:hand) : []

      # @return [Array<Reckoning::Check>]
      #
      #   work.checks.map(&:code) # => []
      def checks = reckoning ? reckoning.checks : []

      # @return [Array<Reckoning::Check>] those that speak at a station
      #
      #   work.checks_at("cloth").map(&:code) # => []
      def checks_at(station) = checks.select { |check| Reckoning::Checks.station_of(check) == station }

      # @param path [String] of a field
      # @return [Boolean] whether it can't be left empty; what leaving out a cloth means, its list says
      #
      #   work.needs?("support.projection") # => false
      def needs?(path)
        if path == "support.length"
          return Reckoning::Support.length_needed?(*[%w[opening kind], %w[ordered finished_width]].map { |at|
            record.spec.dig(*at)
          })
        end

        !path.match?(/\A(face|lining|interlining)/) && SpecFields.field(path, record.spec).required?
      end

      # @return [Reckoning::Cloth, nil]
      #
      #   work.face.id # => "plain"
      def face = reckoning&.treatment&.face

      # @param answers [Array<String>] the codes of the questions that have been answered
      # @return [Array<Reckoning::Remark>] what an experienced maker would say of it
      #
      #   work.judged.first.code # => "drill_behind"
      def judged(answers = [], **asked) =
        Reckoning::Judgement.of(reckoning.treatment, reckoning, answers, house: house, **asked)

      # @param station [String]
      # @param job [Job] that it belongs to
      # @param more [Hash] what else is looked at there
      # @return [Array<Reckoning::Remark>] what an experienced maker would say there, also before it has its cloths
      #
      #   work.said_at("measure", in_hand).first.code # => "support_fitted"
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
      #
      #   work.looked_at(in_hand).reckoning.id # => "office"
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
      #
      #   work.hanging(in_hand).hands # => ["left", "right"]
      def hanging(job) = Hanging.new(job, self)

      # @return [Array] what else lists, books, diary and papers ask for
      #
      #   work.asked_for.first.keys # => ["plain"]
      def asked_for = [Reckoning::Cutting::Demand.by_cloth([reckoning]), Reckoning::Sundries.of(reckoning)]

      # @return [Reckoning::Account::Billed] as it stands in the account
      #
      #   work.billed.title # => "office"
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
      #
      #   work.cloth_name # => ""
      def cloth_name = reckoning.treatment.face.name

      # @return [Boolean] whether its cloth must have relaxed before it is cut
      #
      #   work.cloth_relaxes? # => false
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
