# frozen_string_literal: true

module EarnestFold
  module Drawings
    # The curtains of one treatment closed, seen from the room and to scale: what they hang from with its length, each
    # in its folds with its seams, and the finished drop.
    class HungCurtains
      R = Reckoning
      WIDTH, HIGHEST = 330, 250
      MARGIN = {left: 16, right: 54, top: 40, bottom: 14}.freeze
      # Folds closer than this are drawn fewer.
      LEAST_FOLD = 5

      # @param reckoning [Reckoning::TreatmentReckoning]
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      def initialize(reckoning, unit, colour:)
        @reckoning, @unit, @colour = reckoning, unit, colour
        room = [WIDTH - MARGIN[:left] - MARGIN[:right], HIGHEST - MARGIN[:top] - MARGIN[:bottom]]
        @scale = Scale.fitting(room, [across, reckoning.finished_drop])
        @svg = Svg.new(WIDTH, MARGIN[:top] + drop + MARGIN[:bottom], says: says, css: "drawing hung")
      end

      # @return [String]
      #
      #   size(Drawings::HungCurtains.new(reckoning, Units::CM, colour: "#c8b79a")) # => "330 250"
      def to_s
        places.each { |curtain, left| curtain(curtain, left) }
        supports
        dimensions
        @svg.to_s
      end

      private

      def says = Words.say("drawings.hung", across: across, drop: @reckoning.finished_drop, unit: @unit)

      def treatment = @reckoning.treatment

      # A dress pair leaves the glass between its two free.
      def dress? = treatment.supports.size > 1

      def across = [treatment.support.length, curtains_across].max

      def curtains_across = shown_widths.reduce(:+)

      # As much of each as is seen from the front: what turns the corner isn't.
      def shown_widths = @reckoning.curtains.map { |curtain| curtain.finished_width - curtain.span.return_flat }

      def drop = @scale[@reckoning.finished_drop]

      def left = (WIDTH - MARGIN[:left] - MARGIN[:right] - @scale[across]) / 2 + MARGIN[:left]

      def right = left + @scale[across]

      # Shares of the whole, so that what overlaps and eases lies within it.
      def places
        return @reckoning.curtains.zip([left, right - @scale[shown_widths.last]]) if dress?

        share = @scale[across] / @scale[curtains_across]
        at = left
        @reckoning.curtains.zip(shown_widths).map do |curtain, shown|
          place = at
          at += @scale[shown] * share
          [curtain, place]
        end
      end

      def wide(curtain)
        shown = @scale[curtain.finished_width - curtain.span.return_flat]
        dress? ? shown : shown * @scale[across] / @scale[curtains_across]
      end

      def curtain(curtain, from)
        width = wide(curtain)
        @svg.rect(from, MARGIN[:top], width, drop, fill: Tint.of(@colour), class: "cloth")
        folds(curtain, from, width)
        seams(curtain, from, width)
        @svg.rect(from, MARGIN[:top], width, drop, class: "outline")
      end

      def folds(curtain, from, width)
        count = treatment.heading.folds(curtain.task, curtain.heading).clamp(1, [(width / LEAST_FOLD).floor, 1].max)
        commands = (1..count).flat_map { |index| ["M", from + width * (index - 0.5) / count, MARGIN[:top], "v", drop] }
        @svg.path(commands, class: "fold")
      end

      # Where they come to hang, about: as far along as they lie in the flat curtain.
      def seams(curtain, from, width)
        curtain.task.seams.each do |seam|
          along = (seam / curtain.flat_width).to_f * width
          x = (curtain.leads == :right) ? from + width - along : from + along
          @svg.line(x, MARGIN[:top], x, MARGIN[:top] + drop, class: "seam dotted")
        end
      end

      def supports
        ends = dress? ? places.map { |curtain, from| [from, from + wide(curtain)] } : [[left, right]]
        ends.each { |from, to| @svg.line(from - 5, MARGIN[:top] - 2, to + 5, MARGIN[:top] - 2, class: "support thin") }
      end

      def dimensions
        Dimension.across(@svg, left, right, MARGIN[:top] - 14)
        length = Words.length(treatment.support.length, @unit)
        @svg.text((left + right) / 2, MARGIN[:top] - 20, length, class: "figure", text_anchor: "middle")
        x = right + 12
        Dimension.down(@svg, x, MARGIN[:top], MARGIN[:top] + drop)
        @svg.text(x + 6, MARGIN[:top] + drop / 2, Words.length(@reckoning.finished_drop, @unit), class: "figure")
      end
    end
  end
end
