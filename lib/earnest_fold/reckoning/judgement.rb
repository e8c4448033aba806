# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What an experienced maker would say of a treatment: a code, the station at which it speaks, whether it says
    # (:say), asks (:ask) or cautions people (:caution), and the facts for its words.
    Remark = Value.define(:code, :station, :manner, :data)

    # The judgement. A rule that is its condition alone is a line of its theme (judgement/lines/), one that reckons is a
    # file of its own in judgement/: a module with `CODE`, `MANNER`, `STATION` (or several), and `call(case)` where it
    # speaks of treatments, `altering(case)` where it speaks of alterations. What is said at the table, the machine and
    # the bench hangs on what is done there to what ({Touch}), never on the name of a step: it speaks at every step that
    # does that to that, once a step, in Making and in altering alike. Each gives the facts (a Hash) where it is raised
    # and nil where it stays silent. A question is asked once: when it is answered, it is silent too.
    module Judgement
      MANNERS = %i[caution ask say].freeze
      Rules = Registry.new(:code, :manner)

      # How a theme is written: the code, the stations, and its condition. Those that end in `altered` speak of
      # alterations alone, those that end in `at_work` at every step that does that.
      module Theme
        MANNERS.each do |manner|
          define_method(manner) { |code, *stations, **more, &made| rule(manner, code, stations, made: made, **more) }
          define_method(:"#{manner}_altered") do |code, *stations, **more, &altered|
            rule(manner, code, stations, altered: altered, **more)
          end
          define_method(:"#{manner}_at_work") do |code, *stations, on:, made: nil, &touched|
            rule(manner, code, ["making", *stations], made: made, touching: on, touched: touched)
          end
        end

        # @param deeds [Array<Symbol>]
        # @return [Touching]
        #
        #   Judgement.on(:press, at: :hem).edges # => [:hem]
        def on(*deeds, at: nil, layer: nil, by: nil, of: nil) =
          Touching.new(
            deeds: deeds,
            edges: at && Array(at),
            layers: layer && Array(layer),
            by: by && Array(by),
            of: of
          )

        # @param file [Module] a rule that is a file of its own
        #
        #   Judgement::Rules["fraying"].code # => "fraying"
        def register(file)
          asked = ->(name) { file.method(name) if file.respond_to?(name) }
          touching = file.const_defined?(:ON, false) ? file::ON : nil
          rule(
            file::MANNER,
            file::CODE,
            Array(file::STATION),
            made: asked.call(:call),
            altered: asked.call(:altering),
            touching: touching,
            touched: touching && asked.call(:touched)
          )
        end

        private

        def rule(manner, code, stations, made: nil, altered: nil, touching: nil, touched: nil)
          rule = Rule.new(
            code: code,
            manner: manner,
            stations: stations.freeze,
            made: made,
            altered: altered,
            touching: touching,
            touched: touched
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
            rule.made && remark(rule, rule.made.call(looked_at))
          end
        )
      end

      # @param made [AlterationOfJob]
      # @param answers [Array<String>] the codes of the questions that have been answered
      # @param noted [Boolean] whether anything was noted of the curtains as they came in
      # @param priced [Account::Priced, nil]
      # @return [Array<Remark>]
      #
      #   Judgement.of_alteration(own.reckoning, house: house).first.code # => "support_weight"
      def of_alteration(made, answers = [], house:, station: nil, noted: false, priced: nil)
        looked_at = AlterCase.new(made: made, house: house, noted: noted, priced: priced)
        in_order(
          speaking(station, answers).filter_map do |rule|
            rule.altered && remark(rule, rule.altered.call(looked_at))
          end
        )
      end

      # What is said while it is made, or altered.
      # @param seen [JudgementCase, AlterCase]
      # @param steps [Array<MakingUp::Step>] its order of work
      # @return [Hash{String => Array<Remark>}] by the step's code, cautions first; a step of which nothing is said
      #   isn't there
      #
      #   Judgement.at_steps(seen, steps).keys.first # => "press_hem"
      def at_steps(seen, steps)
        steps
          .to_h { |step| [step.code, in_order(at_work.filter_map { |rule| remark(rule, rule.at(seen, step)) })] }
          .reject { |_, remarks| remarks.empty? }
      end

      # @return [Array<Rule>] those that speak at steps
      #
      #   Judgement.at_work.map(&:code).first(2) # => ["blades_needles", "both_rows_one_way"]
      def at_work = @at_work ||= by_code.select(&:touching).freeze

      # @return [Array<Rule>] those that speak at the station and haven't been answered, in the order of their codes
      #
      #   Judgement.speaking("hanging", []).first.code # => "control_behind"
      def speaking(station, answers) = at_station(station).reject { |rule| rule.answered?(answers) }

      def at_station(station) =
        (@at_station ||= {})[station] ||= by_code.select { |rule| rule.at?(station) }.freeze
      private_class_method :at_station

      def by_code = @by_code ||= Rules.sort_by(&:code).freeze
      private_class_method :by_code

      def in_order(remarks) = remarks.sort_by.with_index { |remark, index| [MANNERS.index(remark.manner), index] }
      private_class_method :in_order

      def remark(rule, data)
        Remark.new(code: rule.code, station: rule.stations.first, manner: rule.manner, data: data) if data
      end
      private_class_method :remark
    end
  end
end
