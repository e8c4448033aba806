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
          kinds, work = made.is_a?(AlterationOfJob) ? altered(made) : as_made(made)
          @steps =
            kinds
              .map { |kind| [kind, kind.drafts(work)] }
              .reject { |_, drafts| drafts.empty? }
              .each_with_index
              .map { |(kind, drafts), index| step(kind, kind.does.call(work), drafts, index + 1) }
              .freeze
          freeze
        end

        # @return [Rational] what it all takes, usually
        #
        #   MakingUp::Order.new(reckoning, house).minutes.round  # => 406
        def minutes = steps.sum(&:minutes)

        private

        def as_made(made)
          work = MakingCase.new(reckoning: made, house: @house)
          [work.order_of_work.codes(work.heading).map { |code| Steps::Kinds.fetch(code) }, work]
        end

        def altered(made) = [ALTERING_ORDER.map { |code| AlteringSteps::Kinds.fetch(code) },
          AlteringCase.new(made: made, house: @house)]

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
