# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # Plans the cuts of a cloth on the pieces there are: "The cutting plan" in the rules. A treatment is cut whole
      # from one batch, or not at all. Where there are few enough cuts every way is weighed; where there are more, a
      # search led by a bound finds a plan, and the plan is proved where it takes no more than the bound. Where
      # neither leaves nothing uncut, the rule of thumb plans, and the plan says that it isn't proved.
      class Planner
        # @param cloth [Cloth] with pieces
        # @param cuts [Array<Cut>]
        # @param wishes [Wishes]
        def initialize(cloth, cuts, wishes = Wishes::NONE)
          @cloth, @wishes = cloth, wishes
          @task = PlanTask.new(wishes.left_of(cloth), cuts - wishes.pins.map(&:cut), wishes)
        end

        # @return [Plan]
        #
        #   Cutting::Planner.new(rolled, cuts).plan.uncut # => []
        def plan
          return made([], nil) if @task.cuts.empty? || @task.cloth.pieces.empty?

          every = EveryWay.new(@task)
          return made(every.pieces, nil) if every.few_enough?

          thumb = LongestFirst.new(@task)
          large = @task.mixed? ? nil : large_plan(thumb)
          return made(large.pieces, nil) if large&.proved?

          bound = large ? large.bound : 0
          [*large&.pieces&.then { |pieces| made(pieces, bound) }, made(thumb.pieces, bound)].min_by do |plan|
            [plan.uncut_count, plan.length_used]
          end
        end

        # @return [Plan] by the rule of thumb alone: soon there, and seldom proved
        #
        #   Cutting::Planner.new(rolled, cuts).soonest.length_used # => 11928 mm
        def soonest
          return plan if @task.cuts.empty? || @task.cloth.pieces.empty?

          made(LongestFirst.new(@task).pieces, 0).then do |plan|
            plan.with(proved: plan.uncut.empty? && plan.length_used <= plan.bound)
          end
        end

        private

        def large_plan(thumb) = @task.plain? ? LargePlan.new(@task, thumb) : Patterned::Search.new(@task, thumb)

        # @param bound [Integer, nil] no plan that cuts everything uses less; nil: none does at all
        def made(pieces, bound)
          plan = Plan.new(pieces: with_pins(pieces), uncut: uncut(pieces), proved: bound.nil?, bound: Length::ZERO)
          return plan.with(bound: plan.length_used) if bound.nil?

          paid_for = plan.length_used - @task.cost(plan.pieces.select { |piece| @task.paid_lengths.key?(piece.id) })
          least = plan.uncut.empty? ? @task.length(bound) + paid_for : Length::ZERO
          plan.with(bound: [least, cuts_themselves(pieces)].max, proved: plan.uncut.empty? && plan.length_used <= least)
        end

        # Every piece of the cloth in its order, with what is pinned to it.
        def with_pins(pieces)
          @cloth.pieces.map do |piece|
            placed = pieces.find { |made| made.id == piece.id }&.placed || []
            pinned = @wishes.pins_on(piece).map { |pin| Placed.new(cut: pin.cut, from: pin.from, to: pin.to) }
            PiecePlan.new(
              id: piece.id,
              batch: piece.batch,
              length: piece.length,
              placed: (placed + pinned).sort_by(&:from)
            )
          end
        end

        def uncut(pieces)
          served = pieces.flat_map { |piece| piece.placed.map { |placed| placed.cut.treatment } }
          (@task.treatments.keys - served).map do |id|
            cuts = @task.treatments[id]
            Uncut.new(
              treatment: id,
              count: cuts.size,
              length: cuts.map(&:length).max,
              to_buy: Endless.new(@cloth, cuts).length_needed
            )
          end
        end

        # No plan of the same treatments uses less than its cuts themselves.
        def cuts_themselves(pieces) = pieces.flat_map(&:placed).sum(Length::ZERO) { |placed| placed.cut.length }
      end
    end
  end
end
