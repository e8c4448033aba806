# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A window from above, to scale: the wall, what stands off it, and each layer on its support with its returns.
    class WindowPlan
      R = Reckoning
      WIDTH, SIDE, WALL = 760, 140, 26
      # A layer: its treatment and its curtains (as asked for where no cloth is chosen).
      Layer = R::Value.define(:treatment, :curtains, :colour)

      # @param layers [Array<Layer>] from the glass to the room
      # @param unit [Reckoning::Unit]
      def initialize(layers, unit)
        @layers, @unit = layers, unit
        @front = layers.last.treatment
        @scale = Scale.fitting(
          [WIDTH - 2 * SIDE, 10_000],
          [layers.map { |layer| layer.treatment.support.length }.max, R::Length.mm(1)]
        )
        @svg = Svg.new(WIDTH, WALL + deepest + 34, says: says, css: "drawing plan-view")
      end

      # @return [String]
      def to_s
        @svg.line(left - 60, WALL, left + whole + 60, WALL, class: "wall")
        @svg.text(left - 60, WALL - 9, Words.say("drawings.wall"), class: "edge", text_anchor: "start")
        features
        @layers.each_with_index { |layer, index| draw(layer, index) }
        @svg.to_s
      end

      private

      def says =
        Words.say(
          "drawings.window_plan",
          layers: @layers.size,
          off: @front.support.projection || Words.say("drawings.not_measured"),
          unit: @unit
        )

      def whole = @scale[@layers.map { |layer| layer.treatment.support.length }.max]

      def left = (WIDTH - whole) / 2

      # How far a layer stands off: as measured; else clear of its own folds, and drawn dashed.
      def off(layer) = @scale[layer.treatment.support.projection || depth(layer) + R::Length.mm(40)]

      def depth(layer) = layer.treatment.heading.fold_depth(layer.curtains.first.task, layer.curtains.first.heading)

      def deepest = @layers.map { |layer| off(layer) + @scale[depth(layer)] }.max + 6

      def features
        @front.wall.features.except(:glass).each do |name, feature|
          reach = [@scale[feature.stands_off || R::Length::ZERO], 3].max
          @svg.rect(
            left + @scale[feature.from_left],
            WALL,
            [@scale[feature.width], 4].max,
            reach,
            class: "feature #{name}"
          )
        end
        glass = @front.wall.glass or return
        @svg.line(left + @scale[glass.from_left], WALL, left + @scale[glass.to_right], WALL, class: "pane")
      end

      def draw(layer, index)
        at = WALL + off(layer)
        start = left + (whole - @scale[layer.treatment.support.length]) / 2
        rails(layer.treatment, start).each do |from, to|
          @svg.line(from, at, to, at, class: layer.treatment.support.projection ? "rail-above" : "rail-above likely")
        end
        places(layer, start).each do |curtain, lead|
          @svg.path(
            FoldLine.new(layer.treatment.heading, curtain, @scale).closed(lead, at, WALL),
            class: (index == @layers.size - 1) ? "plan" : "plan behind"
          )
        end
        figure(layer, index, at)
      end

      # A dress pair hangs from two short supports, one at each end.
      def rails(treatment, start)
        finish = start + @scale[treatment.support.length]
        return [[start, finish]] if treatment.supports.size == 1

        each = @scale[treatment.supports.first]
        [[start, start + each], [finish - each, finish]]
      end

      # @return [Array<Array(Reckoning::Curtain, Float)>] each with its leading edge
      def places(layer, start)
        whole = @scale[layer.treatment.support.length]
        at = start
        layer.curtains.map do |curtain|
          along = @scale[curtain.finished_width - curtain.span.return_flat]
          from = (curtain.equal?(layer.curtains.last) && curtain.leads == :left) ? start + whole - along : at
          at = from + along
          [curtain, (curtain.leads == :right) ? from + along : from]
        end
      end

      def figure(layer, index, at)
        projection = layer.treatment.support.projection or return
        x = left + whole + 22 + 58 * index
        Dimension.down(@svg, x, WALL, at)
        @svg.text(
          x + 9,
          [(WALL + at) / 2 + 5, WALL + 14].max,
          Words.length(projection, @unit),
          class: "figure",
          text_anchor: "start"
        )
      end
    end
  end
end
