# frozen_string_literal: true

module EarnestFold
  module Drawings
    # One curtain flat, its face towards the room, to scale: widths and seams, turnings, and where the pattern falls.
    class FlatCurtain
      R = Reckoning
      WIDTH, HIGHEST = 700, 372
      # Figures nearer than this would lie on each other.
      NEAR = 44
      MARGIN = {left: 62, right: 20, top: 52, bottom: 12}.freeze

      # Room for the drop's words under a curtain that is too shallow for them beside it, and how wide a letter of
      # theirs is.
      BELOW, LETTER = 34, 7.5

      # @param reckoning [Reckoning::TreatmentReckoning]
      # @param curtain [Reckoning::Curtain]
      # @param lining [Boolean] lay the lining over it
      # @return [FlatCurtain]
      #
      #   size(Drawings::FlatCurtain.of(reckoning, curtain, Units::CM, colour: "#c8b79a")) # => "700 372"
      def self.of(reckoning, curtain, unit, colour:, lining: false) =
        new(FlatFigures.of(reckoning, curtain, lining: lining), unit, colour)

      # @param figures [FlatFigures]
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      def initialize(figures, unit, colour)
        @figures, @unit, @colour = figures, unit, colour
        @cut = figures.cut
        @shown = figures.inner ? lining_shown : face_shown
        room = [WIDTH - MARGIN[:left] - MARGIN[:right], HIGHEST - MARGIN[:top] - MARGIN[:bottom]]
        @scale = Scale.fitting(room, [figures.flat_width, @cut.finished])
        @svg = Svg.new(
          WIDTH,
          MARGIN[:top] + height + (shallow? ? BELOW : MARGIN[:bottom]),
          says: says,
          css: "drawing flat"
        )
      end

      # @return [String]
      #
      #   size(Drawings::FlatCurtain.of(reckoning, curtain, Units::CM, colour: "#c8b79a")) # => "700 372"
      def to_s
        face.draw { lining if @figures.inner }
        running_distances
        edges
        drop_dimension
        names
        @svg.to_s
      end

      # What the figures speak of, the face or the lining laid over it: how far its edges stand in from the curtain's,
      # the distances of its edges and seams from its leading edge, its widths and its finished drop.
      Shown = R::Value.define(:inset, :bounds, :widths, :drop)
      private_constant :Shown

      private

      def face_shown
        Shown.new(
          inset: R::Length::ZERO,
          bounds: @figures.bounds,
          widths: @figures.widths,
          drop: @cut.finished
        )
      end

      def lining_shown
        inner = @figures.inner
        Shown.new(
          inset: inner.inset,
          bounds: [R::Length::ZERO, *inner.seams, inner.flat_width],
          widths: inner.widths,
          drop: inner.drop
        )
      end

      def face
        @face ||= CurtainFace.new(
          @figures,
          @colour,
          CurtainFace::Place.new(
            svg: @svg,
            left: MARGIN[:left] + (WIDTH - MARGIN[:left] - MARGIN[:right] - width) / 2,
            top: MARGIN[:top],
            scale: @scale,
            name: @figures.hand.tr(" ", "-")
          )
        )
      end

      def says
        Words.say(
          "drawings.flat",
          hand: Words.hand(@figures.hand),
          widths: Words.widths(@shown.widths),
          flat: @shown.bounds.last,
          drop: @shown.drop,
          unit: @unit
        )
      end

      def leads_right? = @figures.leads_right?

      def width = @scale[@figures.flat_width]

      def height = @scale[@cut.finished]

      def left = face.left

      def top = face.top

      # @param distance [Length] from the leading edge of what is shown
      def x(distance) = face.x(@shown.inset + distance)

      def lining
        inset, lift = @shown.inset, @figures.inner.lift
        x1, x2 = [x(R::Length::ZERO), x(@shown.bounds.last)].minmax
        below = @scale[@shown.drop]
        @svg.rect(x1, top + @scale[[inset, lift].min], x2 - x1, below - @scale[[inset, lift].min], class: "lining")
        @svg.text((x1 + x2) / 2, top + below - 34, Words.say("drawings.lining"), class: "label", text_anchor: "middle")
      end

      # From the leading edge, never as a chain of gaps.
      def running_distances
        before = nil
        @shown.bounds.each do |distance|
          at = x(distance)
          # A figure that has no room beside the one before stands above it.
          row = (before && (at - before.first).abs < NEAR && before.last.zero?) ? 1 : 0
          @svg.line(at, top - 20, at, top - 8, class: "dim")
          @svg.text(
            at,
            top - 26 - row * 15,
            distance.zero? ? "0" : Words.length(distance, @unit),
            class: "figure",
            text_anchor: "middle"
          )
          before = [at, row]
        end
        @svg.line(
          *[x(R::Length::ZERO), x(@shown.bounds.last)].minmax.then { |from, to| [from, top - 14, to, top - 14] },
          class: "dim"
        )
      end

      # What both edges are called needs so much in a line, as large as a phone shows it.
      BOTH_EDGES = 230
      private_constant :BOTH_EDGES

      def edges
        aside = @scale[@figures.side.depth] + 7
        apart = (width - aside * 2 < BOTH_EDGES) ? 22 : 0
        {
          leads_right? => Words.say("drawings.leading_edge"),
          !leads_right? => Words.say("drawings.return_edge")
        }.each_with_index do |(at_right, words), line|
          at = at_right ? left + width - aside : left + aside
          edge(at, top + @scale[@cut.top] + 18 + line * apart, words, at_right)
        end
      end

      # A letter of what an edge is called takes so much.
      EDGE_LETTER = 6
      private_constant :EDGE_LETTER

      # On a ground of its own where a seam runs through it.
      def edge(at, y, words, at_right)
        wide = words.size * EDGE_LETTER
        from = at_right ? at - wide : at
        crossed = @shown.bounds.any? { |distance| x(distance).between?(from + 1, from + wide - 1) }
        @svg.rect(from - 3, y - 12, wide + 6, 17, rx: 3, class: "label-ground") if crossed
        @svg.text(at, y, words, class: "edge", text_anchor: at_right ? "end" : "start")
      end

      def drop_dimension
        at = left - 18
        Dimension.down(@svg, at, top, top + @scale[@shown.drop])
        return @svg.text(at, top + height + 24, drop_words, class: "figure") if shallow?

        middle = top + height / 2
        @svg.text(at - 9, middle, drop_words, class: "figure", text_anchor: "middle",
          transform: "rotate(-90 #{(at - 9).round(1)} #{middle.round(1)})")
      end

      def drop_words = Words.say("drawings.finished_drop", drop: Words.length(@shown.drop, @unit))

      def shallow? = drop_words.size * LETTER > height

      def names
        @shown.bounds.each_cons(2).with_index do |(from, to), index|
          words = Words.say((index + 1 > @shown.widths) ? "drawings.half_width" : "drawings.width", number: index + 1)
          words += " · #{@figures.phases[index]}" if @cut.cloth.half_drop? && !@figures.inner
          named(x(from), x(to), top + height * 0.45, words)
        end
      end

      # A strip that is narrower than its name goes without.
      def named(from, to, y, words)
        label((from + to) / 2, y, words) if (to - from).abs >= words.size * 7.2
      end

      def label(x, y, words)
        wide = words.size * 7.2 + 18
        @svg.rect(x - wide / 2, y - 15, wide, 26, rx: 3, class: "label-ground")
        @svg.text(x, y + 3, words, class: "label", text_anchor: "middle")
      end
    end
  end
end
