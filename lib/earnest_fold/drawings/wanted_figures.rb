# frozen_string_literal: true

module EarnestFold
  module Drawings
    # The three figures that a new curtain can't be reckoned without, where they are measured: along what it hangs from,
    # down the drop, across the cloth. What isn't known is dashed and named, in likely proportions.
    class WantedFigures
      WIDTH, HEIGHT = 560, 260
      LEFT, RIGHT, TOP, FOOT = 40, 300, 46, 230
      BOLT = {left: 420, right: 520}.freeze
      FOLDS = 22

      # @param figures [Hash{Symbol => String, nil}] :length, :drop and :cloth as they are known
      # @param colour [String]
      def initialize(figures, colour:)
        @figures, @colour = figures, colour
        @svg = Svg.new(WIDTH, HEIGHT, says: Words.say("drawings.wanted"), css: "drawing wanted-figures")
      end

      # @return [String]
      #
      #   size(Drawings::WantedFigures.new({length: "180", drop: nil, cloth: nil}, colour: "#fff")) # => "560 260"
      def to_s
        curtains
        cloth
        across(:length, LEFT, RIGHT, TOP - 16)
        down
        across(:cloth, BOLT[:left], BOLT[:right], TOP - 16)
        @svg.to_s
      end

      private

      def curtains
        @svg.rect(LEFT, TOP, RIGHT - LEFT, FOOT - TOP, fill: Tint.of(@colour), class: "cloth likely")
        each = (RIGHT - LEFT) / FOLDS.to_f
        @svg.path((1...FOLDS).flat_map { |index| ["M", LEFT + each * index, TOP, "V", FOOT] }, class: "fold")
        @svg.line((LEFT + RIGHT) / 2, TOP, (LEFT + RIGHT) / 2, FOOT, class: "seam")
        @svg.line(LEFT - 6, TOP - 3, RIGHT + 6, TOP - 3, class: "support thin")
      end

      def cloth
        wide = BOLT[:right] - BOLT[:left]
        @svg.rect(BOLT[:left], TOP, wide, FOOT - TOP, fill: Tint.of(@colour), class: "cloth likely")
        BOLT.each_value { |at| @svg.line(at, TOP, at, FOOT, class: "dim likely") }
      end

      def across(name, from, to, at)
        Dimension.across(@svg, from, to, at, css: css(name))
        @svg.text((from + to) / 2, at - 8, words(name), class: "figure", text_anchor: "middle")
      end

      def down
        Dimension.down(@svg, RIGHT + 18, TOP, FOOT, css: css(:drop))
        @svg.text(RIGHT + 26, (TOP + FOOT) / 2 + 5, words(:drop), class: "figure")
      end

      def css(name) = @figures[name] ? "dim" : "dim likely"

      def words(name) = @figures[name] || Words.say("drawings.wanted_#{name}")
    end
  end
end
