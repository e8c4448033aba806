# frozen_string_literal: true

module EarnestFold
  module Drawings
    # What a set of rules makes, as a curtain in section small enough to choose it by: the face with its hem folded as
    # often as it is, the lining behind it with its own, and how far it stands above.
    class SetSection
      R = Reckoning
      WIDTH, HEIGHT, FACE, TOP, FOOT = 110, 92, 40, 8, 84
      # Millimetres to a point; deep hems are drawn shorter, so that something of the curtain stays.
      EACH, DEEPEST = 2.4, 44
      STEP = 5

      # @param set [Store::RuleSet]
      # @param unit [Reckoning::Unit]
      def initialize(set, unit)
        @making, @lining, @unit = set.making(unit), set.lining(unit), unit
        @svg = Svg.new(WIDTH, HEIGHT, says: Words.say("drawings.set", set: set.name), css: "drawing set-section")
      end

      # @return [String]
      def to_s
        sheet(FACE, FOOT, @making["hem"], "section-cloth", 1)
        behind if @lining
        @svg.line(0, FOOT + 4, WIDTH, FOOT + 4, class: "floor")
        @svg.to_s
      end

      private

      def behind = sheet(FACE + 27, FOOT - tall(@lining["lift"]), @lining["hem"], "section-lining", -1)

      # Down to the fold, up on its wrong side, between the layers, and for a double hem down once more.
      def sheet(x, foot, hem, css, way)
        deep = tall(hem && hem["depth"])
        turns = folds(hem)
        commands = ["M", x, TOP, "V", foot]
        turns.times { |turn| commands.push("h", STEP * way, "v", turn.even? ? -deep : deep) }
        @svg.path(commands, class: css, fill: "none")
      end

      def folds(hem)
        return 0 if hem.nil? || hem["kind"] == "none"

        (hem["kind"] == "double") ? 2 : 1
      end

      def tall(text)
        length = text && R::LengthReader.read(text, @unit)
        length ? (length.mm.to_f / EACH).clamp(2, DEEPEST) : 0
      end
    end
  end
end
