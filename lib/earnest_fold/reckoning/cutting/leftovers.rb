# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # Cloth that a plan leaves over: a rectangle, `along` the cloth by `across` it. `kind` is :remnant (after a
      # piece's last cut), :between (before or between cuts) or :half_width (the other half of a slit width). `piece`
      # and `from` say where it lies.
      Leftover = Value.define(:kind, :piece, :from, :along, :across)

      # Everything that a plan leaves over and that is large enough to be of use.
      module Leftovers
        LEAST = Length.mm(60)

        module_function

        # @param cloth [Cloth] with the pieces that were planned on
        # @param plan [Plan]
        # @param slit [Array<Cut>] those that are slit for one curtain alone
        # @return [Array<Leftover>] remnants first, each kind along its piece; of pieces that are cut from
        #
        #   Cutting::Leftovers.of(rolled, plan).map(&:along) # => [18072 mm, 1672 mm, 280 mm, 232 mm, 232 mm]
        def of(cloth, plan, slit: [])
          touched = plan.pieces.select { |piece| piece.touched? && piece.length }
          made =
            touched.flat_map { |piece| remnants(cloth, piece) + between(cloth, piece) } +
            touched.flat_map { |piece| half_widths(cloth, piece, slit) }
          made.sort_by.with_index { |one, index| [%i[remnant between half_width].index(one.kind), index] }
        end

        # @param cloth [Cloth] with the pieces that there are
        # @return [Array<Leftover>] all of them, but for their flaws
        #
        #   Cutting::Leftovers.whole(rolled).map(&:along) # => [4000 mm, 25800 mm]
        def whole(cloth) =
          cloth.pieces.select(&:length).flat_map do |piece|
            clear(cloth, piece, Length::ZERO, piece.length).map do |from, to|
              leftover(cloth, :remnant, piece, from, to)
            end
          end

        def remnants(cloth, piece) =
          clear(cloth, piece, piece.used, piece.length).map { |from, to| leftover(cloth, :remnant, piece, from, to) }
        private_class_method :remnants

        def between(cloth, piece)
          starts = [Length::ZERO, *piece.placed.map(&:to)]
          starts
            .zip(piece.placed.map(&:from))
            .first(piece.placed.size)
            .flat_map do |from, to|
              clear(cloth, piece, from, to).map do |clear_from, clear_to|
                leftover(cloth, :between, piece, clear_from, clear_to)
              end
            end
        end
        private_class_method :between

        # A width that is slit for one curtain alone leaves its other half.
        #
        #   Cutting::Leftovers.half_widths(cloth, plan.pieces.first, cuts.first(1)).map(&:across) # => [690 mm]
        def half_widths(cloth, piece, slit)
          piece.placed.select { |placed| slit.include?(placed.cut) }.map do |placed|
            Leftover.new(
              kind: :half_width,
              piece: piece.id,
              from: placed.from,
              along: placed.cut.length,
              across: cloth.width / 2 - cloth.selvedge
            )
          end
        end

        # What lies between two places, cut up by flaws; what is too short is none.
        #
        #   spans = Cutting::Leftovers.clear(rolled, rolled.pieces.first, Length.cm(100), Length.cm(600))
        #   spans.map(&:first) # => [1000 mm, 4200 mm]
        def clear(cloth, piece, from, to)
          flaws = cloth.pieces.find { |one| one.id == piece.id }&.flaws || []
          inside = flaws.sort_by(&:from).select { |flaw| flaw.from < to && flaw.to > from }
          starts = [from, *inside.map(&:to)]
          starts.zip([*inside.map(&:from), to]).select { |start, stop| stop - start >= LEAST }
        end

        def leftover(cloth, kind, piece, from, to) =
          Leftover.new(kind: kind, piece: piece.id, from: from, along: to - from, across: cloth.usable_width)
        private_class_method :leftover
      end
    end
  end
end
