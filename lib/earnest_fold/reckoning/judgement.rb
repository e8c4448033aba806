# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What an experienced maker would say of a treatment: a code, the station at which it speaks, whether it says
    # (:say), asks (:ask) or cautions people (:caution), and the facts for its words. At Making, `steps` are
    # those that it belongs to, the best first: it is said once, at the first that there is by the house's school.
    Remark = Value.define(:code, :station, :steps, :manner, :data) do
      # @param codes [Array<String>] of the steps that there are
      # @return [String, nil] the one at which it is said
      def step_among(codes) = steps.find { |step| codes.include?(step) }
    end

    # What the judgement looks at. `reckoning` is nil before the cloth is chosen; `behind` is the next layer towards
    # the glass at the same window, nil where there is none; `house` is what the workroom decides once; `counted` the
    # small parts held against what is on hand, nil where nobody holds any; `cutting` the cut that is about to be
    # made, nil away from the table.
    JudgementCase = Value.define(:treatment, :reckoning, :behind, :house, :counted, :cutting) do
      def heading = treatment.heading

      # @return [Boolean] whether there is a lining
      def lined? = !treatment.lining.nil?

      def curtains = reckoning ? reckoning.curtains : []

      # @return [Boolean] whether there is more than one curtain to be alike
      def pair? = curtains.size > 1

      # @return [Boolean] whether a tape is put on
      def taped? = !reckoning.nil? && heading.taped?

      # @return [Boolean] whether its hem is sewn
      def hemmed? = treatment.making.hem.taken.positive?

      # @return [Boolean] whether a coated cloth lies between the others
      def coated? = lined? && treatment.lining.cloth.coated

      # @return [Array<Hardware>] none before there are figures
      def hardware = counted || (reckoning ? HardwareCount.of(reckoning, [reckoning], {}) : [])

      # @return [Array<Curtain>] as asked for, where no cloth is chosen yet
      def likely_curtains = reckoning ? curtains : treatment.spans.map { |span| Curtain.asked(treatment, span) }
    end

    # A cut about to be made, for the judgement: its cloth, its length, whether the piece was measured when it came
    # (nil where there is no piece), from which batches the job is cut, whether it is the first of its piece, of its
    # treatment, of its cloth, and what comes off or stays behind when it is made (a {Cutting::Leftover}, or nil).
    CutCase = Value.define(
      :cloth,
      :length,
      :measured,
      :batches,
      :first_on_piece,
      :first_of_treatment,
      :first_on_cloth,
      :leftover
    )

    # An alteration looked at by the judgement. `noted` is whether anything was noted of the curtains as they came in;
    # `priced` what the alteration comes to ({Account::Priced}), nil away from the Account.
    AlterCase = Value.define(:made, :house, :noted, :priced) do
      def alteration = made.alteration

      def curtain = made.curtain

      # @return [Boolean] whether the old hem is let down
      def let_down? = alteration.respond_to?(:let_down) && alteration.let_down
    end

    # The judgement. A rule that is its condition alone is a line of its theme (judgement/lines/), one that reckons is a
    # file of its own in judgement/: a module with `CODE`, `MANNER`, `STATION` (or several), `STEP` and `ALTERING_STEP`
    # where it belongs to one, and `call(case)` where it speaks of treatments, `altering(case)` where it speaks of
    # alterations. Each gives the facts (a Hash) where it is raised and nil where it stays silent. A question is asked
    # once: when it is answered, it is silent too.
    module Judgement
      MANNERS = %i[caution ask say].freeze
      Rules = Registry.new(:code, :manner)

      # One rule: `made` looks at a {JudgementCase}, `altered` at an {AlterCase}; nil where it doesn't speak of such
      # work.
      Rule = Value.define(:code, :manner, :stations, :steps, :altering_steps, :made, :altered) do
        # @param station [String, nil] any
        # @param answers [Array<String>] the codes of the questions that have been answered
        def speaks?(station, answers) =
          (station.nil? || stations.include?(station)) && !(manner == :ask && answers.include?(code))
      end

      # How a theme is written: the code, the stations, the step it belongs to (or several, the best first), and its
      # condition. Those that end in `altered` speak of alterations alone.
      module Theme
        MANNERS.each do |manner|
          define_method(manner) { |code, *stations, **more, &made| rule(manner, code, stations, made: made, **more) }
          define_method(:"#{manner}_altered") do |code, *stations, **more, &altered|
            rule(manner, code, stations, altered: altered, **more)
          end
        end

        # @param file [Module] a rule that is a file of its own
        def register(file)
          named = ->(name) { file.const_get(name) if file.const_defined?(name, false) }
          asked = ->(name) { file.method(name) if file.respond_to?(name) }
          rule(
            file::MANNER,
            file::CODE,
            Array(file::STATION),
            step: named.call(:STEP),
            altering_step: named.call(:ALTERING_STEP),
            made: asked.call(:call),
            altered: asked.call(:altering)
          )
        end

        private

        def rule(manner, code, stations, step: nil, altering_step: nil, made: nil, altered: nil)
          rule = Rule.new(
            code: code,
            manner: manner,
            stations: stations.freeze,
            steps: Array(step).freeze,
            altering_steps: Array(altering_step).freeze,
            made: made,
            altered: altered
          )
          Rules.register(code, rule)
        end
      end
      extend Theme

      module_function

      # @param treatment [Treatment] with or without its cloths
      # @param reckoning [TreatmentReckoning, nil]
      # @param answers [Array<String>] the codes of the questions that have been answered
      # @param behind [Treatment, nil] the next layer towards the glass
      # @param house [HouseRules]
      # @param counted [Array<Hardware>, nil]
      # @param cutting [CutCase, nil]
      # @param station [String, nil] only what speaks there
      # @return [Array<Remark>] cautions first, then questions, then the rest
      #
      #   Judgement.of(treatment, reckoning, house: house).first.code # => "drill_behind"
      def of(
        treatment,
        reckoning,
        answers = [],
        house:,
        station: nil,
        behind: nil,
        counted: nil,
        cutting: nil
      )
        looked_at = JudgementCase.new(
          treatment: treatment,
          reckoning: reckoning,
          behind: behind,
          house: house,
          counted: counted,
          cutting: cutting
        )
        in_order(
          speaking(station, answers).filter_map do |rule|
            rule.made && remark(rule, rule.made.call(looked_at), rule.steps)
          end
        )
      end

      # @param made [AlterationOfJob]
      # @param answers [Array<String>] the codes of the questions that have been answered
      # @param noted [Boolean] whether anything was noted of the curtains as they came in
      # @param priced [Account::Priced, nil]
      # @return [Array<Remark>]
      def of_alteration(made, answers = [], house:, station: nil, noted: false, priced: nil)
        looked_at = AlterCase.new(made: made, house: house, noted: noted, priced: priced)
        in_order(
          speaking(station, answers).filter_map do |rule|
            rule.altered && remark(rule, rule.altered.call(looked_at), rule.altering_steps)
          end
        )
      end

      # @return [Array<Rule>] those that speak at the station and haven't been answered, in the order of their codes
      def speaking(station, answers) = by_code.select { |rule| rule.speaks?(station, answers) }

      def by_code = @by_code ||= Rules.sort_by(&:code).freeze

      def in_order(remarks) = remarks.sort_by.with_index { |remark, index| [MANNERS.index(remark.manner), index] }

      def remark(rule, data, steps)
        return unless data

        Remark.new(code: rule.code, station: rule.stations.first, steps: steps, manner: rule.manner, data: data)
      end
    end
  end
end
