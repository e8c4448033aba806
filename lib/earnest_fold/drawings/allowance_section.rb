# frozen_string_literal: true

module EarnestFold
  module Drawings
    # What a set of rules allows, as a curtain cut through: its foot seen from the side, the hem folded as often as it
    # is and the lining behind it with its own, and its edge seen from above, each allowance at its fold. Lengths are
    # to scale, the layers are drawn apart.
    class AllowanceSection
      R = Reckoning
      WIDTH, HEIGHT, TOP, FOOT = 520, 232, 26, 204
      # The face at the foot, the lining behind it, and where the edge is seen from above.
      FACE, BEHIND, EDGE, ACROSS = 92, 34, 322, 142
      APART = 6
      # Units to the millimetre, at most; deep hems are drawn smaller.
      MOST, ROOM, EDGE_ROOM = 1.3, 140, 150

      # @param set [Store::RuleSet]
      # @param unit [Reckoning::Unit]
      def initialize(set, unit)
        @making, @lining, @unit = set.making(unit), set.lining(unit), unit
        @scale = [MOST, ROOM / [tallest, 1].max, EDGE_ROOM / [widest, 1].max].min
        @svg = Svg.new(WIDTH, HEIGHT, says: Words.say("drawings.set", set: set.name), css: "drawing allowances")
      end

      # @return [String]
      def to_s
        foot
        edge
        @svg.to_s
      end

      private

      def hem = @making["hem"] || {}

      def side = @making["side"] || {}

      # Drawn units of a length as a set has it; nought where it says none.
      def drawn(text) = (length(text)&.mm || 0).to_f * @scale

      def length(text) = text && R::LengthReader.read(text, @unit)

      def millimetres(*texts) = texts.sum { |text| (length(text)&.mm || 0).to_f }

      def tallest =
        [millimetres(hem["depth"]), @lining ? millimetres(@lining["lift"], @lining.dig("hem", "depth")) : 0].max

      def widest = [millimetres(side["depth"]), @lining ? millimetres(@lining["inset"], @lining["side_turn"]) : 0].max

      def foot
        @svg.text(6, 14, Words.say("drawings.foot_cut"), class: "edge")
        folded_down(FACE, FOOT, hem, "section-cloth", 1)
        deep(FACE - 16, FOOT, hem["depth"], "end") unless none?(hem)
        lining_foot if @lining
        @svg.line(20, FOOT + 8, 260, FOOT + 8, class: "floor")
      end

      def lining_foot
        x, at = FACE + BEHIND, FOOT - drawn(@lining["lift"])
        folded_down(x, at, @lining["hem"], "section-lining", -1)
        deep(x + 14, FOOT, @lining["lift"], "start")
        deep(x + 14, at, @lining.dig("hem", "depth"), "start") unless none?(@lining["hem"])
      end

      # Down to the fold and up on its wrong side, which looks at the other layer; for a second turn down once more.
      def folded_down(x, foot, hem, css, way)
        commands = ["M", x, TOP, "V", foot]
        turns(hem).each_with_index { |deep, turn| commands.push("h", APART * way, "v", turn.even? ? -deep : deep) }
        @svg.path(commands, class: css, fill: "none")
      end

      # What each turn takes, the outer one first.
      def turns(hem)
        return [] if none?(hem)

        deep = drawn(hem["depth"])
        inner = (hem["kind"] == "double") ? deep : drawn(hem["turn_under"])
        inner.positive? ? [deep, inner] : [deep]
      end

      def none?(allowance) = allowance.nil? || allowance["kind"].nil? || allowance["kind"] == "none"

      def edge
        @svg.text(EDGE - 40, 14, Words.say("drawings.edge_cut"), class: "edge")
        folded_back(EDGE, ACROSS, side, "section-cloth", -1)
        across(EDGE, ACROSS + 26, side["depth"], 18) unless none?(side)
        lining_edge if @lining
      end

      def lining_edge
        x = EDGE + drawn(@lining["inset"])
        turn = {"kind" => "single", "depth" => @lining["side_turn"]}
        folded_back(x, ACROSS - 4 * APART, turn, "section-lining", 1)
        across(x, ACROSS - 50, @lining["side_turn"], -8)
        across(EDGE, ACROSS - 82, @lining["inset"], -8) if drawn(@lining["inset"]).positive?
      end

      def folded_back(x, y, side, css, way)
        commands = ["M", WIDTH - 8, y, "H", x]
        turns(side).each_with_index { |deep, turn| commands.push("v", APART * way, "h", turn.even? ? deep : -deep) }
        @svg.path(commands, class: css, fill: "none")
      end

      # @param foot [Numeric] where it ends below
      def deep(x, foot, text, anchor)
        tall = drawn(text)
        return unless tall.positive?

        Dimension.down(@svg, x, foot - tall, foot)
        written((anchor == "end") ? x - 9 : x + 9, foot - tall / 2 + 5, text, anchor)
      end

      def across(x, y, text, below)
        wide = drawn(text)
        return unless wide.positive?

        Dimension.across(@svg, x, x + wide, y)
        written(x + wide / 2, y + below, text, "middle")
      end

      def written(x, y, text, anchor) =
        @svg.text(x, y, Words.length(length(text), @unit), class: "figure", text_anchor: anchor)
    end
  end
end
