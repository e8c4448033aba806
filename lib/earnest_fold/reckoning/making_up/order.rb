# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The steps of one treatment or alteration in the order of its method.
      class Order
        # @return [Array<Step>]
        attr_reader :steps

        # @param made [TreatmentReckoning, AlterationOfJob]
        # @param house [HouseRules]
        def initialize(made, house)
          @house = house
          kinds = made.is_a?(AlterationOfJob) ? altered(made) : as_made(made)
          @steps =
            kinds
              .map { |kind, work| [kind, work, kind.drafts(work)] }
              .reject { |_, _, drafts| drafts.empty? }
              .each_with_index
              .map { |(kind, work, drafts), index| step(kind, kind.does.call(work), drafts, index + 1) }
              .freeze
          freeze
        end

        # @return [Rational] what it all takes, usually
        #
        #   MakingUp::Order.new(reckoning, house).minutes.round  # => 406
        def minutes = steps.sum(&:minutes)

        private

        # @return [Array<Array(StepKind, MakingCase)>]
        def as_made(made)
          work = MakingCase.new(reckoning: made, house: @house)
          work.order_of_work.codes(work.heading).map { |code| [Steps::Kinds.fetch(code), work] }
        end

        # A heading that is put on has its own steps, as on a curtain that is made.
        # @return [Array<Array(StepKind, AlteringCase)>]
        def altered(made)
          work = AlteringCase.new(made: made, house: @house)
          ALTERING_ORDER.flat_map do |code|
            code.is_a?(Symbol) ? of_heading(made) : [[AlteringSteps::Kinds.fetch(code), work]]
          end
        end

        def of_heading(made)
          return [] unless made.alteration.heading_put_on

          work = PanelCase.new(made: made, house: @house)
          work.heading.made_by.values_at(:top, :heading).flatten.map { |code| [Steps::Kinds.fetch(code), work] }
        end

        def step(kind, operations, drafts, number)
          times = drafts.map(&:times).reduce { |sums, one| sums.merge(one) { |_, sum, more| sum + more } }
          Step.new(
            number: number,
            code: kind.code,
            parts: drafts.map { |draft| Part.new(**draft.to_h.slice(*Part.members)) },
            operations: operations.freeze,
            tools: kind.tools(operations),
            times: times,
            minutes: @house.times.minutes(times),
            bench: kind.bench(operations)
          )
        end
      end
    end
  end
end
