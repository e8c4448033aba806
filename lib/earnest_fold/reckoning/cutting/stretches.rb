# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # A stretch of a piece without flaws: which piece it belongs to, from where to where. Whole numbers.
      Stretch = Struct.new(:index, :piece, :from, :to) do
        # @return [Integer]
        #
        #   Cutting::Stretch.new(0, nil, 400, 1000).room # => 600
        def room = to - from
      end

      # The pieces of one or several batches cut up by their flaws.
      # @api private
      class Stretches
        # A piece as whole numbers: where cutting may begin, and up to where its cloth costs nothing more.
        Bar = Struct.new(:length, :flaws, :begins, :paid)

        # @return [Array<Bar>]
        attr_reader :pieces

        # @return [Array<Stretch>]
        attr_reader :all
        # @return [Array<Array<Stretch>>] by piece, in order along it
        attr_reader :by_piece

        # @param pieces [Array<Bar>]
        # @param least [Integer] the shortest cut: a shorter stretch holds nothing
        def initialize(pieces, least)
          @pieces, @all = pieces, []
          @by_piece = pieces.each_with_index.map { |piece, index| clear(piece, index, least) }
        end

        # @return [Array<Array<Stretch>>] by piece, those whose cloth costs nothing
        def free =
          @free ||=
            by_piece.zip(pieces).map { |stretches, piece| stretches.select { |stretch| stretch.to <= piece.paid } }

        # @param sequence [Array<Integer>] kinds in order, which fit
        # @param kinds [Array<PieceFill::Shape>]
        # @return [Array<Array(Integer, Integer, Integer)>] kind, from and to of each
        def placed(stretch, sequence, kinds)
          at = stretch.from
          sequence.map { |kind| [kind, at, at += kinds[kind].length] }
        end

        private

        def clear(piece, index, least)
          at = piece.begins
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
