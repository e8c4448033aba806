# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # A stretch of a piece without flaws: which piece it belongs to, from where to where. Whole numbers.
      Stretch = Struct.new(:index, :piece, :from, :to) do
        def room = to - from
      end

      # The pieces of one or several batches cut up by their flaws.
      class Stretches
        # A piece as whole numbers.
        Piece = Struct.new(:length, :flaws)

        # @return [Array<Stretch>]
        attr_reader :all
        # @return [Array<Array<Stretch>>] by piece, in order along it
        attr_reader :by_piece

        # @param pieces [Array<Piece>]
        # @param square_off [Integer]
        # @param least [Integer] the shortest cut: a shorter stretch holds nothing
        def initialize(pieces, square_off, least)
          @all = []
          @by_piece = pieces.each_with_index.map { |piece, index| clear(piece, index, square_off, least) }
        end

        # @param sequence [Array<Integer>] kinds in order, which fit
        # @param kinds [Array<PieceFill::Kind>]
        # @return [Array<Array(Integer, Integer, Integer)>] kind, from and to of each
        def placed(stretch, sequence, kinds)
          at = stretch.from
          sequence.map { |kind| [kind, at, at += kinds[kind].length] }
        end

        private

        def clear(piece, index, square_off, least)
          at = square_off
          ends = [*piece.flaws, [piece.length, piece.length]]
          ends.filter_map do |from, to|
            stretch = Stretch.new(@all.size, index, at, from) if from - at >= least
            @all << stretch if stretch
            at = [at, to].max
            stretch
          end
        end
      end
    end
  end
end
