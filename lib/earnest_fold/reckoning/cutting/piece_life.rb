# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # What has become of a stretch of a piece, from its first end: `kind` is :cut (for a curtain), :wasted, :wrong
      # (cut, but not as it was meant) or :offcut (a piece of its own now). `key` is whatever its keeper knows it by;
      # nil where it is new.
      Taking = Value.define(:kind, :from, :to, :key) do
        # @return [Length]
        #
        #   Cutting::Taking.new(kind: :cut, from: Length.cm(10), to: Length.cm(240), key: nil).length # => 2300 mm
        def length = to - from
      end

      # A piece of cloth with what was taken of it. The takings lie end to end from the piece's first end; what is
      # after them is left. So the lengths always add up: what was measured = cut + wasted + wrong + offcuts + left.
      class PieceLife < Value.define(:length, :takings)
        KINDS = %i[cut wasted wrong offcut].freeze
        # What one change takes away of the takings and what it puts there.
        Exchange = Value.define(:removed, :added)

        # @return [Length] up to where it is cut
        #
        #   life.ended # => 0 mm
        def ended = takings.empty? ? Length::ZERO : takings.last.to

        # @return [Length]
        #
        #   life.left # => 5000 mm
        def left = length - ended

        # @param kind [Symbol]
        # @return [Length]
        #
        #   life.sum(:cut) # => 0 mm
        def sum(kind) = takings.select { |taking| taking.kind == kind }.sum(Length::ZERO, &:length)

        # @return [Hash{Symbol => Length}] every kind and what is :left; together the length
        #
        #   life.sums[:left] # => 5000 mm
        def sums = KINDS.to_h { |kind| [kind, sum(kind)] }.merge(left: left)

        # A stretch is taken. What lies between the last cut and it comes off with it: an offcut where it is long
        # enough to be kept, else waste. A stretch of what was wasted can still be taken, by whoever was slower to say
        # so.
        # @param kind [Symbol] :cut or :wrong
        # @param least [Length] the shortest offcut that is kept
        # @return [Exchange]
        # @raise [Invalid] where cloth is taken already, or beyond the piece's end
        #
        #   life.take(:cut, Length.cm(10), Length.cm(240), least: Length.cm(50)).added.map(&:kind) # => [:wasted, :cut]
        def take(kind, from, to, least:)
          refuse(:outside_the_piece) if from.negative? || to > length || to <= from
          taken = Taking.new(kind: kind, from: from, to: to, key: nil)
          return Exchange.new(removed: [], added: [between(ended, from, least), taken].compact) if from >= ended

          waste =
            takings.find { |one| one.kind == :wasted && one.from <= from && one.to >= to } || refuse(:taken_already)
          Exchange.new(
            removed: [waste],
            added: [between(waste.from, from, least), taken, between(to, waste.to, least)].compact
          )
        end

        # A taking that never was: its cloth hangs together with what was wasted on either side of it, and with offcuts
        # that nobody touched. At the end of the piece all of that is left again; between others it lies about as an
        # offcut, or as waste.
        # @param taking [Taking] one of these
        # @param loose [Array<Taking>] the offcuts among these that nobody touched
        # @return [Exchange]
        #
        #   cut = Cutting::Taking.new(kind: :cut, from: Length::ZERO, to: Length.cm(230), key: nil)
        #   life.with(takings: [cut]).put_back(cut, least: Length.cm(50)).added # => []
        def put_back(taking, least:, loose: [])
          place = takings.index(taking)
          free = ->(one) { one.kind == :wasted || loose.include?(one) }
          after = takings.drop(place + 1).take_while(&free)
          around = [*takings.first(place).reverse.take_while(&free).reverse, taking, *after]
          return Exchange.new(removed: around, added: []) if place + after.size + 1 == takings.size

          Exchange.new(removed: around, added: [between(around.first.from, around.last.to, least)])
        end

        # @param change [Exchange]
        # @return [PieceLife]
        #
        #   life.after(life.take(:cut, Length.cm(0), Length.cm(240), least: Length.cm(50))).left # => 2600 mm
        def after(change) = with(takings: (takings - change.removed + change.added).sort_by(&:from))

        # @return [Boolean] whether the takings lie end to end from the first end, inside the piece
        #
        #   life.whole? # => true
        def whole? =
          takings
            .reduce(Length::ZERO) { |at, taking| (at && taking.from == at && taking.to > at) ? taking.to : nil }
            &.then { |at| at <= length } || false

        private

        def between(from, to, least)
          Taking.new(kind: (to - from >= least) ? :offcut : :wasted, from: from, to: to, key: nil) if to > from
        end

        def refuse(code) = raise(Invalid, [Problem.new(at: "/cut", code: code, data: {})])
      end
    end
  end
end
