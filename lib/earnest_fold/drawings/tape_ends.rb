# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A tape as it is laid and sewn along the top, seen from the back at both its ends: the top edge, how far below it
    # the tape lies, what is turned in, its cords knotted at the leading end and free at the return, and the rows that
    # this step pins or sews. What runs between is left out.
    class TapeEnds
      R = Reckoning
      WIDTH, HEIGHT = 640, 190
      # How much of each end is shown.
      STRETCH = R::Length.mm(180)
      # How deep a tape is drawn of which nobody has said it.
      LIKELY = R::Length.mm(60)
      TOP, GAP, SIDE = 44, 70, 30

      # @param step [Reckoning::MakingUp::Step]
      # @param heading [Reckoning::Heading]
      # @return [Boolean] whether a tape is laid or sewn there by this
      #
      #   Drawings::TapeEnds.draws?(steps.first, treatment.heading) # => false
      def self.draws?(step, heading)
        heading.taped? &&
          step.operations.any? { |one| %i[lay pin sew].include?(one.deed) && one.layers.include?(:tape) }
      end

      # @param step [Reckoning::MakingUp::Step]
      # @param heading [Reckoning::Heading]
      # @param side [Reckoning::Length] what the side turnings show
      # @param unit [Reckoning::Unit]
      # @param colour [String]
      # @param depth [Reckoning::Length, nil] the tape's; nil where nobody has said it
      def initialize(step, heading, side, unit, colour:, depth: nil)
        @step, @heading, @side, @unit, @colour, @depth = step, heading, side, unit, colour, depth
        @scale = Scale.fitting([(WIDTH - GAP) / 2 - SIDE, 112], [STRETCH, (depth || LIKELY) + below + R::Length.mm(24)])
        @svg = Svg.new(WIDTH, HEIGHT, says: Words.say("drawings.tape_ends", step: Words.step(step)), css: "drawing")
      end

      # @return [String]
      def to_s
        {leading: SIDE, return: WIDTH - SIDE - wide}.each { |edge, from| one_end(edge, from) }
        @svg.to_s
      end

      private

      def below = asked(:tape_below)

      def turned_in = asked(:tape_turn_in)

      def asked(name) = (@heading.respond_to?(name) && @heading.public_send(name)) || R::Length::ZERO

      def wide = @scale[STRETCH]

      def tall = @scale[@depth || LIKELY]

      def upper = TOP + @scale[below]

      def one_end(edge, from)
        outward = (edge == :leading) ? 1 : -1
        at = (edge == :leading) ? from : from + wide
        @svg.rect(from, TOP, wide, 122, fill: Tint.of(@colour), class: "cloth face-down")
        @svg.line(from, TOP, from + wide, TOP, class: "outline")
        @svg.line(at + outward * @scale[@side], TOP, at + outward * @scale[@side], TOP + 122, class: "stitch")
        tape(from, at, outward)
        cords(at, outward, edge) if @heading.corded?
        words(edge, from, at, outward)
      end

      # Its end turned under lies just inside the edge.
      def tape(from, at, outward)
        @svg.rect(from, upper, wide, tall, class: "tape-laid")
        fold = at + outward * @scale[turned_in]
        @svg.line(fold, upper, fold, upper + tall, class: "fold-under") if turned_in.positive?
        pockets(from)
        rows.each { |y, css| @svg.line(from, y, from + wide, y, class: css) }
      end

      # Outward, at their pitch where that is known.
      def pockets(from)
        step = @scale[asked(:pocket_pitch)]
        return unless step >= 4

        y, open, deep = upper + tall * 0.42, step - 3, tall * 0.16
        starts = Array.new((wide / step).floor) { |index| from + step * index + 1.5 }
        @svg.path(starts.flat_map { |x| ["M", x, y, "h", open, "v", deep, "h", -open, "Z"] }, class: "tape-pocket")
      end

      # Where this step pins or sews: a foot's width inside the edges.
      def rows
        inside = [tall * 0.08, 3].max
        edges = {top: upper + inside, foot: upper + tall - inside}
        done = {"sew_top_row" => %i[top], "sew_second_row" => %i[foot]}.fetch(@step.code, %i[top foot])
        css = @step.deed?(:sew) ? "sewn-now" : "pinned-now"
        edges.slice(*done).values.map { |y| [y, css] }
      end

      def cords(at, outward, edge)
        [0.3, 0.7].each do |share|
          y = upper + tall * share
          @svg.line(at + outward * 6, y, at + outward * wide, y, class: "tape-cord")
          if edge == :leading
            @svg.circle(at + outward * 6, y, 4, class: "knot")
          else
            @svg.path(["M", at + outward * 6, y, "q", -outward * 16, 2, -outward * 22, 18], class: "tape-cord loose")
          end
        end
      end

      def words(edge, from, at, outward)
        @svg.text(from + wide / 2, 18, Words.say("drawings.#{edge}_edge"), class: "edge", text_anchor: "middle")
        anchor = (outward == 1) ? "start" : "end"
        if below.positive?
          @svg.text(at + outward * 4, TOP - 6, Words.say("drawings.below_top", below: below, unit: @unit),
            class: "figure", text_anchor: anchor)
        end
        return unless turned_in.positive?

        @svg.text(at + outward * 4, upper + tall + 18, Words.say("drawings.turned_in", by: turned_in, unit: @unit),
          class: "figure", text_anchor: anchor)
      end
    end
  end
end
