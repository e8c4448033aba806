# frozen_string_literal: true

module EarnestFold
  module Drawings
    # A piece of cloth as a bar beside the others on the shelf: what is left of it filled, what was cut off in
    # outline, its flaws as notches.
    class PieceBar
      WIDTH, HEIGHT = 220, 18

      # @param piece [Reckoning::Cutting::ShelfPiece]
      # @param longest [Reckoning::Length] of all on the shelf
      # @param colour [String]
      def initialize(piece, longest, colour)
        @piece, @colour = piece, colour
        @scale = Scale.new((WIDTH - 2) / longest.mm.to_f)
        @svg = Svg.new(WIDTH, HEIGHT, says: Words.say("drawings.piece_bar"), css: "drawing piece-bar")
      end

      # @return [String]
      #
      #   size(Drawings::PieceBar.new(shelf_piece, Length.cm(3000), "#fff")) # => "220 18"
      def to_s
        ended, whole = 1 + @scale[@piece.ended], 1 + @scale[@piece.length]
        @svg.rect(1, 4, whole - 1, 10, class: "gone") if @piece.begun?
        @svg.rect(ended, 4, whole - ended, 10, fill: Tint.of(@colour), class: "piece-left")
        @piece.flaws.each { |flaw| notch(1 + @scale[flaw.from]) }
        @svg.to_s
      end

      private

      def notch(x) = @svg.path(["M", x - 3, 1, "h", 6, "l", -3, 7, "Z"], class: "notch")
    end
  end
end
