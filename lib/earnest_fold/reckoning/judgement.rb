# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What an experienced maker would say of a treatment: a code, the station at which it speaks, whether it says
    # (:say), asks (:ask) or cautions people (:caution), and the facts for its words.
    Remark = Value.define(:code, :station, :manner, :data)

    # What a cloth does under the hands, whoever's it is: what is said at a step hangs on it.
    Material = Value.define(:name, :coated, :frays, :creeps, :curls, :loose, :printed, :mass) do
      # @param cloth [Cloth]
      # @return [Material]
      def self.of(cloth) = new(**members.to_h { |name| [name, cloth.public_send(name)] })

      # @return [Boolean] whether it is so light that pins and sticky tape tell (in grams per square metre)
      def light = !mass.nil? && mass <= Material::LIGHT

      # @return [Boolean] whether it drags at the needle
      def heavy = !mass.nil? && mass >= Material::HEAVY
    end
    Material::LIGHT = 150
    Material::HEAVY = 300

    # A step at which something is done to something: where a rule looks whether it has anything to say. `material` is
    # nil for what is no cloth.
    Touch = Value.define(:step, :operation, :layer, :material) do
      # @return [Hash{Symbol => Object}] the step's figures
      def figures = step.figures
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

      # @param layer [Symbol] :face, :lining or :interlining
      # @return [Material, nil] nil for what is no cloth
      def material(layer)
        cloth = treatment.face if layer == :face
        cloth = treatment.public_send(layer)&.cloth if %i[lining interlining].include?(layer)
        cloth && Material.of(cloth)
      end

      # @return [Rational, nil] kilograms of one curtain, about
      def each_mass = reckoning&.mass && reckoning.mass / curtains.size

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

      # @return [Material, nil] the customer's own cloth, as far as it was asked; nil for what is none
      def material(layer)
        return unless layer == :face

        Material.new(
          name: "",
          coated: curtain.coated,
          frays: curtain.frays,
          creeps: false,
          curls: false,
          loose: false,
          printed: curtain.printed,
          mass: curtain.light ? Material::LIGHT : nil
        )
      end

      # @return [Array] none: they came made
      def curtains = []

      # @return [Boolean] whether there is more than one to be alike
      def pair? = made.pair?

      # @return [nil] nobody has weighed it
      def each_mass = nil

      # @return [Boolean] whether the old hem is let down
      def let_down? = alteration.respond_to?(:let_down) && alteration.let_down
    end

    # The judgement. A rule that is its condition alone is a line of its theme (judgement/lines/), one that reckons is a
    # file of its own in judgement/: a module with `CODE`, `MANNER`, `STATION` (or several), and `call(case)` where it
    # speaks of treatments, `altering(case)` where it speaks of alterations. What is said at the table, the machine and
    # the bench hangs on what is done there to what ({Touch}), never on the name of a step: it speaks at every step that
    # does that to that, once a step, in Making and in altering alike. Each gives the facts (a Hash) where it is raised
    # and nil where it stays silent. A question is asked once: when it is answered, it is silent too.
    module Judgement
      MANNERS = %i[caution ask say].freeze
      Rules = Registry.new(:code, :manner)

      # One rule: `made` looks at a {JudgementCase}, `altered` at an {AlterCase}; nil where it doesn't speak of such
      # work.
      Rule = Value.define(:code, :manner, :stations, :made, :altered, :touching, :touched) do
        # @param seen [JudgementCase, AlterCase]
        # @param step [MakingUp::Step]
        # @return [Hash, nil] the facts where it has something to say at that step
        def at(seen, step)
          step.operations.each do |operation|
            next unless touching.match?(operation)

            operation.layers.each do |layer|
              touch = Touch.new(step: step, operation: operation, layer: layer, material: seen.material(layer))
              facts = touching.of?(touch) ? touched.call(seen, touch) : nil
              return facts if facts
            end
          end
          nil
        end

        # @param station [String, nil] any
        # @param answers [Array<String>] the codes of the questions that have been answered
        def speaks?(station, answers) =
          (station.nil? || stations.include?(station)) && !(manner == :ask && answers.include?(code))
      end

      # Which operations a rule looks at: any of its deeds, at any of its edges, on any of its layers, by hand or by
      # machine, on a material that is so; nil is any.
      Touching = Value.define(:deeds, :edges, :layers, :by, :of) do
        def match?(operation) =
          deeds.include?(operation.deed) && any?(edges, operation.edge) && any?(by, operation.by) &&
            (layers.nil? || operation.layers.intersect?(layers))

        def of?(touch) =
          any?(layers, touch.layer) && (of.nil? || (!touch.material.nil? && !!touch.material.public_send(of)))

        private

        def any?(wanted, there) = wanted.nil? || wanted.include?(there)
      end

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
        def on(*deeds, at: nil, layer: nil, by: nil, of: nil) =
          Touching.new(
            deeds: deeds,
            edges: at && Array(at),
            layers: layer && Array(layer),
            by: by && Array(by),
            of: of
          )

        # @param file [Module] a rule that is a file of its own
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
      def at_steps(seen, steps)
        steps
          .to_h { |step| [step.code, in_order(at_work.filter_map { |rule| remark(rule, rule.at(seen, step)) })] }
          .reject { |_, remarks| remarks.empty? }
      end

      def at_work = @at_work ||= by_code.select(&:touching).freeze

      # @return [Array<Rule>] those that speak at the station and haven't been answered, in the order of their codes
      def speaking(station, answers) = by_code.select { |rule| rule.speaks?(station, answers) }

      def by_code = @by_code ||= Rules.sort_by(&:code).freeze

      def in_order(remarks) = remarks.sort_by.with_index { |remark, index| [MANNERS.index(remark.manner), index] }

      def remark(rule, data)
        Remark.new(code: rule.code, station: rule.stations.first, manner: rule.manner, data: data) if data
      end
    end
  end
end
