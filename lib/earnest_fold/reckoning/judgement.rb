# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What an experienced maker would say of a treatment: a code, the station at which it speaks, whether it says
    # (:say), asks (:ask) or cautions people (:caution), and the facts for its words. At Making, `step` is the step
    # that it belongs to.
    Remark = Value.define(:code, :station, :step, :manner, :data)

    # What the judgement looks at. `reckoning` is nil before the cloth is chosen; `behind` is the next layer towards
    # the glass at the same window, nil where there is none; `house` is what the workroom decides once; `counted` the
    # small parts held against what is on hand, nil where nobody holds any; `cutting` the cut that is about to be
    # made, nil away from the table.
    JudgementCase = Value.define(:treatment, :reckoning, :behind, :house, :counted, :cutting) do
      def heading = treatment.heading

      def lined? = !treatment.lining.nil?

      def curtains = reckoning ? reckoning.curtains : []

      # @return [Boolean] whether there is more than one curtain to be alike
      def pair? = curtains.size > 1

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

      def let_down? = alteration.respond_to?(:let_down) && alteration.let_down
    end

    # The judgement: one rule a file in judgement/, a module with `CODE`, `STATION` (or several), `MANNER` and
    # `call(case)` where it speaks of treatments, `altering(case)` where it speaks of alterations: each gives the
    # facts (a Hash) where it is raised and nil where it stays silent. A question is asked once: when it is answered,
    # it is silent too.
    module Judgement
      MANNERS = %i[caution ask say].freeze
      Rules = Registry.new

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
        in_order(speaking(:call, station, answers).filter_map { |rule| remark(rule, rule.call(looked_at), :STEP) })
      end

      # @param made [AlterationOfJob]
      # @param answers [Array<String>] the codes of the questions that have been answered
      # @param noted [Boolean] whether anything was noted of the curtains as they came in
      # @param priced [Account::Priced, nil]
      # @return [Array<Remark>]
      def of_alteration(made, answers = [], house:, station: nil, noted: false, priced: nil)
        looked_at = AlterCase.new(made: made, house: house, noted: noted, priced: priced)
        in_order(
          speaking(:altering, station, answers).filter_map do |rule|
            remark(rule, rule.altering(looked_at), :ALTERING_STEP)
          end
        )
      end

      # @return [Array<Module>] the rules that speak of such work, at the station, and haven't been answered
      def speaking(manner, station, answers)
        Rules.select do |rule|
          rule.respond_to?(manner) && (station.nil? || Array(rule::STATION).include?(station)) &&
            !(rule::MANNER == :ask && answers.include?(rule::CODE))
        end
      end

      def in_order(remarks) = remarks.sort_by.with_index { |remark, index| [MANNERS.index(remark.manner), index] }

      def remark(rule, data, step)
        data &&
          Remark.new(
            code: rule::CODE,
            station: Array(rule::STATION).first,
            step: rule.const_defined?(step) ? rule.const_get(step) : nil,
            manner: rule::MANNER,
            data: data
          )
      end
    end
  end
end
