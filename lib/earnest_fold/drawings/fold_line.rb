# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A hung curtain's line as seen from above, the room below: its folds, its flat leading end, and the return that
    # turns to the wall.
    class FoldLine
      # How many fingers a pleat shows from above.
      FINGERS = {"double" => 2, "triple" => 3}.freeze

      # @param heading [Reckoning::Heading]
      # @param curtain [Reckoning::Curtain]
      # @param scale [Scale]
      def initialize(heading, curtain, scale)
        @heading, @curtain, @scale = heading, curtain, scale
        @folds = heading.folds(curtain.task, curtain.heading)
        @depth = [scale[heading.fold_depth(curtain.task, curtain.heading)], 1.0].max
      end

      # @return [Float] how far the folds reach from the line
      attr_reader :depth

      # @return [Float] along the support, without the return
      #
      #   Drawings::FoldLine.new(treatment.heading, curtain, Drawings::Scale.new(0.5)).along # => 470.0
      def along = @scale[@curtain.finished_width - @curtain.span.return_flat]

      # Closed: the line that a support of its length carries.
      # @param lead [Float] where the leading edge is
      # @param line [Float] the height that the support is drawn at
      # @param wall [Float] the height of the wall
      # @return [Array] commands of a path
      #
      #   fold = Drawings::FoldLine.new(treatment.heading, curtain, Drawings::Scale.new(0.5))
      #   fold.closed(9, 4, 1).first(3) # => ["M", 9, 4]
      def closed(lead, line, wall)
        flat = @scale[@curtain.span.lead_flat]
        ["M", lead, line, "l", flat * way, 0, *folds(along - flat), *turn_back(line, wall)]
      end

      # Drawn back: the same folds, one against the other.
      # @param lead [Float] where the leading edge is
      # @param stack [Reckoning::Length] what it takes of the support
      # @return [Array] commands of a path
      #
      #   fold = Drawings::FoldLine.new(treatment.heading, curtain, Drawings::Scale.new(0.5))
      #   fold.drawn_back(9, 4, 1, Length.cm(20)).first(3) # => ["M", 9, 4]
      def drawn_back(lead, line, wall, stack)
        flat = @scale[@curtain.span.lead_flat]
        deep = @scale[(@curtain.flat_width - @curtain.span.return_flat) / (4 * @folds)]
        ["M", lead, line, "l", flat * way, 0, *waves(@scale[stack] - flat, [deep, 1].max), *turn_back(line, wall)]
      end

      private

      # From the leading edge towards the return.
      def way = (@curtain.leads == :right) ? -1 : 1

      def folds(room) = @heading.pleated? ? pleats(room) : waves(room, depth)

      def waves(room, deep)
        wide = room / @folds * way
        [Svg.commands(["q", wide / 4, 2 * deep, wide / 2, 0, "q", wide / 4, -2 * deep, wide / 2, 0])] * @folds
      end

      # Straight spaces, and a pleat standing forward at the end of each.
      def pleats(room)
        space = (@folds > 1) ? room / (@folds - 1) * way : room * way
        first = Svg.commands(pleat(way))
        [first, *[Svg.commands(["l", space, 0, first])] * (@folds - 1)]
      end

      def pleat(side)
        case style
        when "box"
          ["l", -6 * side, 0, "l", 0, depth, "l", 12 * side, 0, "l", 0, -depth, "l", -6 * side, 0]
        when "goblet", "cartridge"
          ["q", -depth * side, depth * 1.4, 0, depth * 1.4, "q", depth * side, 0, 0, -depth * 1.4]
        else
          Array.new(fingers) { |index| finger((index - (fingers - 1) / 2.0) * 4 * side) }.flatten
        end
      end

      def style = @heading.fold_style

      # A hook's pleat has a finger for each skip between its prongs; any other kind one for each of its layers.
      def fingers = @heading.fingers || FINGERS.fetch(style, 1)

      def finger(aside) = ["l", aside, depth, "l", -aside, -depth]

      def turn_back(line, wall) = @curtain.span.return_flat.positive? ? ["l", 0, wall - line] : []
    end
  end
end
