# frozen_string_literal: true

module EarnestFold
  module Drawings
    # One curtain from above, to scale: closed with its folds, and drawn back with the room it takes.
    class HeadingPlan
      R = Reckoning
      WIDTH, SIDE, GAP = 700, 46, 26

      # @param treatment [Reckoning::Treatment]
      # @param curtain [Reckoning::Curtain]
      # @param unit [Reckoning::Unit]
      # @param house [Reckoning::HouseRules]
      def initialize(treatment, curtain, unit, house:)
        @curtain, @unit = curtain, unit
        @forward = treatment.heading.pleated? ? "_pleats" : ""
        @stack = R::Folds.stacked(treatment, curtain, house)
        @deep = treatment.heading.fold_depth(curtain.task, curtain.heading)
        @off = treatment.support.projection || @deep + R::Length.mm(30)
        @scale = Scale.fitting([WIDTH - 2 * SIDE, 10_000], [curtain.finished_width, R::Length.mm(1)])
        @line = FoldLine.new(treatment.heading, curtain, @scale)
        @stack_deep = [
          @scale[
            (curtain.flat_width - curtain.span.return_flat) /
              (4 * treatment.heading.folds(curtain.task, curtain.heading))
          ],
          2
        ].max
        @svg = Svg.new(WIDTH, height, says: says, css: "drawing plan-view")
      end

      # @return [String]
      #
      #   size(Drawings::HeadingPlan.new(treatment, curtain, Units::CM, house: house)) # => "700 209.3"
      def to_s
        closed
        drawn_back
        @svg.to_s
      end

      private

      def says = Words.say("drawings.plan", depth: @deep, stack: @stack, unit: @unit)

      def leads_right? = @curtain.leads == :right

      def off = [@scale[@off], @line.depth + 4].max

      def first_wall = 30

      def second_wall = first_wall + off + [@line.depth, 6].max + GAP + 18

      def height = second_wall + [off, @stack_deep + 4].max + @stack_deep + 30

      def left = (WIDTH - @line.along) / 2

      def lead = leads_right? ? left + @line.along : left

      # The edge that stays, where the support ends.
      def stays = leads_right? ? left : left + @line.along

      def closed
        @svg.text(
          left,
          first_wall - 10,
          Words.say("drawings.closed_from_above#{@forward}", depth: @deep, unit: @unit),
          class: "edge",
          text_anchor: "start"
        )
        wall(first_wall)
        @svg.line(left, first_wall + off, left + @line.along, first_wall + off, class: "rail-above")
        @svg.path(@line.closed(lead, first_wall + off, first_wall), class: "plan")
      end

      def drawn_back
        at = second_wall + [off, @stack_deep + 4].max
        wide = @scale[@stack]
        @svg.text(
          left,
          second_wall - 10,
          Words.say("drawings.drawn_back", stack: @stack, unit: @unit),
          class: "edge",
          text_anchor: "start"
        )
        wall(second_wall)
        @svg.line(left, at, left + @line.along, at, class: "rail-above")
        @svg.path(@line.drawn_back(leads_right? ? stays + wide : stays - wide, at, second_wall, @stack), class: "plan")
        Dimension.across(@svg, *[stays, leads_right? ? stays + wide : stays - wide].minmax, at + @stack_deep + 14)
      end

      def wall(at) = @svg.line(left - 14, at, left + @line.along + 14, at, class: "wall")
    end
  end
end
