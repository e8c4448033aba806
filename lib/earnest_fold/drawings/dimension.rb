# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A dimension: a line with a tick at each end.
    module Dimension
      TICK = 5

      module_function

      # A dimension line with a tick at either end.
      # @param css [String] its class
      #
      #   drawn(Drawings::Dimension.across(sheet, 1, 9, 4)).size # => 55
      def across(svg, x1, x2, y, css: "dim")
        svg.path(["M", x1, y, "H", x2, "M", x1, y - TICK, "V", y + TICK, "M", x2, y - TICK, "V", y + TICK], class: css)
      end

      # A dimension line with a tick at either end.
      # @param css [String] its class
      #
      #   drawn(Drawings::Dimension.down(sheet, 1, 2, 9)).size # => 55
      def down(svg, x, y1, y2, css: "dim")
        svg.path(["M", x, y1, "V", y2, "M", x - TICK, y1, "H", x + TICK, "M", x - TICK, y2, "H", x + TICK], class: css)
      end
    end
  end
end
