# frozen_string_literal: true

module EarnestFold
  module Drawings
    # One curtain flat, its face towards the room, to scale: widths and seams, turnings, and where the pattern falls.
    class FlatCurtain
      R = Reckoning
      WIDTH, HIGHEST = 700, 372
      MARGIN = {left: 62, right: 20, top: 52, bottom: 12}.freeze

      # @param reckoning [Reckoning::TreatmentReckoning]
      # @param curtain [Reckoning::Curtain]
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      # @param lining [Boolean] lay the lining over it
      def initialize(reckoning, curtain, unit, colour:, lining: false)
        @reckoning, @curtain, @unit, @colour, @with_lining = reckoning, curtain, unit, colour, lining
        @cut = reckoning.drop_cut
        room = [WIDTH - MARGIN[:left] - MARGIN[:right], HIGHEST - MARGIN[:top] - MARGIN[:bottom]]
        @scale = Scale.fitting(room, [curtain.flat_width, @cut.finished])
        @svg = Svg.new(WIDTH, MARGIN[:top] + height + MARGIN[:bottom], says: says, css: "drawing flat")
      end

      # @return [String]
      def to_s
        face.draw { lining if @with_lining && @reckoning.lining }
        running_distances
        edges
        drop_dimension
        names
        @svg.to_s
      end

      private

      def face
        @face ||= CurtainFace.new(@reckoning, @curtain, @colour,
          CurtainFace::Place.new(svg: @svg, left: MARGIN[:left] + (WIDTH - MARGIN[:left] - MARGIN[:right] - width) / 2, top: MARGIN[:top], scale: @scale, name: @curtain.hand.tr(" ", "-")))
      end

      def says
        Words.say("drawings.flat", hand: @curtain.hand, widths: Words.widths(@curtain.widths), flat: @curtain.flat_width, drop: @cut.finished, unit: @unit)
      end

      def leads_right? = face.leads_right?

      def width = @scale[@curtain.flat_width]

      def height = @scale[@cut.finished]

      def left = face.left

      def top = face.top

      def x(distance) = face.x(distance)

      def lining
        made = @reckoning.lining
        inset, lift = made.lining.inset, made.lining.lift
        x1, x2 = [x(inset), x(@curtain.flat_width - inset)].minmax
        below = @scale[@cut.finished - lift]
        @svg.rect(x1, top + @scale[[inset, lift].min], x2 - x1, below - @scale[[inset, lift].min], class: "lining")
        @svg.text((x1 + x2) / 2, top + below - 34, Words.say("drawings.lining"), class: "label", text_anchor: "middle")
      end

      # From the leading edge, never as a chain of gaps.
      def running_distances
        face.bounds.each do |distance|
          at = x(distance)
          @svg.line(at, top - 20, at, top - 8, class: "dim")
          @svg.text(at, top - 26, distance.zero? ? "0" : Words.length(distance, @unit), class: "figure", text_anchor: "middle")
        end
        @svg.line(left, top - 14, left + width, top - 14, class: "dim")
      end

      def edges
        aside = @scale[@reckoning.treatment.making.side.depth] + 7
        {leads_right? => Words.say("drawings.leading_edge"), !leads_right? => Words.say("drawings.return_edge")}.each do |at_right, words|
          @svg.text(at_right ? left + width - aside : left + aside, top + @scale[@cut.top] + 18, words, class: "edge", text_anchor: at_right ? "end" : "start")
        end
      end

      def drop_dimension
        at = left - 18
        Dimension.down(@svg, at, top, top + height)
        middle = top + height / 2
        @svg.text(at - 9, middle, Words.say("drawings.finished_drop", drop: Words.length(@cut.finished, @unit)), class: "figure", text_anchor: "middle",
          transform: "rotate(-90 #{(at - 9).round(1)} #{middle.round(1)})")
      end

      def names
        face.bounds.each_cons(2).with_index do |(from, to), index|
          words = Words.say((index + 1 > @curtain.widths) ? "drawings.half_width" : "drawings.width", number: index + 1)
          words += " · #{face.phase(index)}" if @cut.cloth.half_drop?
          label((x(from) + x(to)) / 2, top + height * 0.45, words)
        end
      end

      def label(x, y, words)
        wide = words.size * 7.2 + 18
        @svg.rect(x - wide / 2, y - 15, wide, 26, rx: 3, class: "label-ground")
        @svg.text(x, y + 3, words, class: "label", text_anchor: "middle")
      end
    end
  end
end
