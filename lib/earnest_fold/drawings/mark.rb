# frozen_string_literal: true

module EarnestFold
  module Drawings
    # One of the marks that the drawings use, alone, for the page that explains them.
    class Mark
      # @param name [String]
      def initialize(name)
        @name = name
        @svg = Svg.new(64, 32, says: Words.say("marks.mark.#{name}"), css: "drawing mark")
      end

      # @return [String]
      def to_s
        @svg.rect(0, 0, 64, 32, fill: "#c9d2bd")
        draw
        @svg.to_s
      end

      private

      def draw
        case @name
        when "hem", "head", "waste"
          hatched({"hem" => [:forward], "head" => [:back], "waste" => %i[forward back]}.fetch(@name))
        when "seam"
          [30, 33].each { |x| @svg.line(x, 0, x, 32, class: "seam") }
        when "repeat"
          @svg.line(0, 16, 64, 16, class: "repeat")
        else
          @svg.line(32, 0, 32, 32, class: "turning")
        end
      end

      def hatched(slants)
        @svg.hatch("mark-#{@name}", slants)
        @svg.rect(0, 0, 64, 32, fill: "url(#mark-#{@name})")
      end
    end
  end
end
