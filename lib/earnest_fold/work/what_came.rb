# frozen_string_literal: true

module EarnestFold
  module Work
    # What came of all orders of a cloth and waits to be taken in, before anybody cuts: which works can be cut of it
    # with what lies on the shelf, and which can't.
    class WhatCame
      # @param cutting [ClothCutting]
      # @param held [Array<OrderHeld>] every order of it
      def initialize(cutting, held)
        @cutting, @held = cutting, held
      end

      # @return [Boolean] whether anything waits
      #
      #   Work::WhatCame.new(cutting, []).waiting? # => false
      def waiting? = @held.any?(&:waiting?)

      # @return [Array<String>] the works that are still to be cut of this cloth
      #
      #   Work::WhatCame.new(cutting, []).works # => ["office", "parlour"]
      def works = @works ||= @cutting.left.map(&:treatment).uniq

      # @return [Array<String>] those that can't be, once all that came lies on the shelf
      def uncut = @uncut ||= pieces.empty? ? works : plan.uncut.map(&:treatment).uniq & works

      # @return [Array<String>] those that can
      #
      #   Work::WhatCame.new(cutting, []).cut # => ["office", "parlour"]
      def cut = works - uncut

      private

      def pieces = @pieces ||= @cutting.stock.pieces + @held.flat_map(&:waiting_pieces)

      def plan = @cutting.tried_on(pieces, @cutting.left)
    end
  end
end
