# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A cloth's nature on a cut swatch: its weave, open where it is loose, its edge frayed or whole, a corner that
    # curls, its coated back turned over, what is printed on it, and a second layer that has crept from under the
    # first.
    class ClothNature
      SIDE, TOP, TALL, WIDTH, HEIGHT = 12, 12, 96, 150, 124
      WEAVE = {firm: 5, loose: 11}.freeze

      # @param cloth [Reckoning::Cloth]
      # @param colour [String]
      def initialize(cloth, colour:)
        @cloth, @colour = cloth, colour
        @svg = Svg.new(WIDTH, HEIGHT, says: Words.say("drawings.nature"), css: "drawing nature")
      end

      # @return [String]
      #
      #   size(Drawings::ClothNature.new(cloth, colour: "#c8b79a")) # => "150 124"
      def to_s
        crept if @cloth.creeps
        @svg.rect(SIDE, TOP, TALL, TALL, fill: Tint.of(@colour), class: "cloth")
        weave
        print if @cloth.printed
        frayed if @cloth.frays
        curled if @cloth.curls
        coated if @cloth.coated
        @svg.to_s
      end

      private

      def crept = @svg.rect(SIDE + 16, TOP + 9, TALL, TALL, fill: Tint.of(@colour), fill_opacity: 0.5, class: "cloth")

      def weave
        gap = WEAVE.fetch(@cloth.loose ? :loose : :firm)
        places = (1...(TALL / gap.to_f)).map { |count| count * gap }
        lines = places.flat_map { |at| ["M", SIDE + at, TOP, "v", TALL, "M", SIDE, TOP + at, "h", TALL] }
        @svg.path(lines, class: "weave")
      end

      def print
        [0.22, 0.5, 0.78].product([0.25, 0.55]).each do |x, y|
          @svg.circle(SIDE + TALL * x, TOP + TALL * y, 6, class: "printed")
        end
      end

      def frayed
        threads = (0...(TALL / 5)).flat_map do |count|
          ["M", SIDE + TALL, TOP + 3 + count * 5, "q", 5, (count % 3) - 2, 8 + (count * 7) % 5, (count % 4) - 1]
        end
        @svg.path(threads, class: "fray")
      end

      # The corner at the left of the foot rolls up.
      def curled
        @svg.path(["M", SIDE, TOP + TALL - 30, "q", 26, 4, 30, 30], class: "curl")
        @svg.path(["M", SIDE, TOP + TALL - 20, "q", 17, 3, 20, 20], class: "curl")
      end

      # The corner at the right of the top is turned down.
      def coated
        @svg.path(["M", SIDE + TALL - 34, TOP, "L", SIDE + TALL, TOP + 34, "H", SIDE + TALL - 34, "Z"], class: "coat")
      end
    end
  end
end
