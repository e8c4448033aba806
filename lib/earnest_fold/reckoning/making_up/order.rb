# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # The steps of one treatment or alteration in order: by rank, but never before what a step needs.
      class Order
        # @return [Array<Step>]
        attr_reader :steps

        # @param made [TreatmentReckoning, AlterationOfJob]
        # @param house [HouseRules]
        def initialize(made, house)
          altered = made.is_a?(AlterationOfJob)
          @work = altered ? AlteringCase.new(made: made, house: house) : MakingCase.new(reckoning: made, house: house)
          drafts =
            (altered ? AlteringKinds : Kinds).to_h { |kind| [kind, kind.call(@work)] }.reject { |_, made| made.empty? }
          @steps =
            sorted(drafts.keys)
              .flat_map { |kind| drafts[kind].map { |draft| [kind, draft] } }
              .each_with_index
              .map { |(kind, draft), index| step(kind, draft, index + 1) }
              .freeze
          freeze
        end

        # @return [Rational] what it all takes, usually
        def minutes = steps.sum(&:minutes)

        private

        # Each time the lowest rank of those whose needs are met; a circle of needs would be a fault in the kinds.
        def sorted(kinds)
          there = kinds.map { |kind| kind::CODE }
          waiting = kinds.sort_by { |kind| [kind.rank(@work.house), kind::CODE] }
          done = []
          until waiting.empty?
            following = waiting.find do |kind|
              ((kind.needs(@work.house) & there) - done.map { |one| one::CODE }).empty?
            end or raise ArgumentError, "steps need each other: #{waiting.map { |kind| kind::CODE }.join(", ")}"
            done << waiting.delete(following)
          end
          done
        end

        def step(kind, draft, number) =
          Step.new(
            number: number,
            code: kind::CODE,
            curtain: draft.curtain,
            figures: draft.figures,
            tools: kind::TOOLS,
            check: draft.check,
            times: draft.times,
            minutes: @work.house.times.minutes(draft.times),
            bench: kind.bench(@work.house)
          )
      end
    end
  end
end
