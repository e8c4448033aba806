# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # How hooks with several prongs lie in the pockets of a tape.
    module ProngedPockets
      module_function

      # @param pockets [Integer] along the whole tape
      # @param hooks [Integer]
      # @param taken [Integer] pockets that one hook takes up
      # @param edge [Integer] the least count of flat pockets at each edge
      # @return [Hash{Symbol => Integer, nil}] pockets between two hooks (nil for one), and flat ones at both edges
      #
      #   ProngedPockets.placing(104, 7, 9, 5) # => {:gap=>5, :edge_lead=>5, :edge_return=>6}
      def placing(pockets, hooks, taken, edge)
        left = pockets - hooks * taken
        gap = (hooks > 1) ? Rational(left - 2 * edge, hooks - 1).floor : nil
        edges = left - (hooks - 1) * gap.to_i
        {gap: gap, edge_lead: edges.div(2), edge_return: edges - edges.div(2)}
      end

      # @param skips [Array<Integer>] pockets between the prongs of one hook
      # @param placed [Hash] `hooks`, and as {placing} gives them
      # @return [Array<Array<Integer>>] the pockets that each hook's prongs go into, from the leading edge
      #
      #   ProngedPockets.of([3, 3, 3], {hooks: 1, edge_lead: 5, gap: nil}) # => [[6, 9, 12, 15]]
      def of(skips, placed)
        first = placed[:edge_lead] + 1
        Array.new(placed[:hooks]) do
          prongs = skips.each_with_object([first]) { |skip, pockets| pockets << pockets.last + skip }
          first = prongs.last + (placed[:gap] || 1)
          prongs
        end
      end
    end
  end
end
