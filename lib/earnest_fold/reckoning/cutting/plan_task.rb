# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # What is to be planned, on one scale of whole numbers: the kinds of cut, the treatments that need them, and the
      # pieces by batch.
      # @api private
      class PlanTask
        # @return [Cloth]
        attr_reader :cloth
        # @return [Array<Cut>]
        attr_reader :cuts
        # @return [Hash{String => Array<Cut>}] by treatment
        attr_reader :treatments
        # @return [Array<Array<Piece>>]
        attr_reader :batches
        # @return [Array<PieceFill::Shape>]
        attr_reader :kinds

        # @return [Wishes]
        attr_reader :wishes

        # @param cloth [Cloth] with pieces
        # @param cuts [Array<Cut>] those that aren't pinned
        # @param wishes [Wishes]
        def initialize(cloth, cuts, wishes = Wishes::NONE)
          @cloth, @cuts, @wishes = cloth, cuts, wishes
          @scale = lengths.map { |length| length.mm.denominator }.reduce(1, :lcm)
          @keys = cuts.map { |cut| key(cut) }.uniq
          @kinds = @keys.map { |start, length| PieceFill::Shape.new(start && whole(start), whole(length)) }
          @treatments = cuts.group_by(&:treatment)
          @batches = cloth.pieces.group_by(&:batch).values
        end

        # @return [Integer] 0 for plain cloth, and where all cuts may begin anywhere
        #
        #   plan_task.repeat # => 320
        def repeat = plain? ? 0 : whole(cloth.vertical_repeat)

        # @return [Boolean] whether no cut has to begin in a phase
        #
        #   plan_task.plain? # => false
        def plain? = @kinds.none?(&:start)

        # @return [Boolean] whether some cuts have to and some needn't
        #
        #   plan_task.mixed? # => false
        def mixed? = !plain? && !@kinds.all?(&:start)

        # @param piece [Piece]
        # @return [Integer] before which nothing starts
        #
        #   plan_task.square_off(rolled.pieces.first) # => 0
        def square_off(piece) = piece.squared ? 0 : whole(cloth.square_off)

        # @param piece [Piece]
        # @return [Integer] up to where its cloth costs nothing more
        #
        #   plan_task.paid(rolled.pieces.first) # => 0
        def paid(piece) = whole(wishes.paid(piece))

        # @param treatment [String]
        # @param index [Integer] of a batch
        def allowed?(treatment, index) = wishes.allowed?(treatment, batches[index].first.batch)

        # @param length [Length]
        # @return [Integer]
        #
        #   plan_task.whole(Length.cm(32)) # => 320
        def whole(length) = (length.mm * @scale).numerator

        # @param number [Integer]
        # @return [Length]
        #
        #   plan_task.length(320) # => 320 mm
        def length(number) = Length.new(Rational(number, @scale))

        # @param ids [Array<String>] treatments
        # @return [Array<Integer>] how many cuts of each kind they need
        def counts(ids)
          tally = ids.flat_map { |id| treatments.fetch(id) }.map { |cut| key(cut) }.tally
          @keys.map { |one| tally.fetch(one, 0) }
        end

        # @param piece [Piece]
        # @return [PieceFill]
        def fill(piece)
          PieceFill.new(
            length: whole(piece.length),
            pattern_start: whole(piece.pattern_start),
            repeat: whole(cloth.vertical_repeat),
            square_off: square_off(piece),
            flaws: flaws(piece),
            kinds: kinds
          )
        end

        # @param pieces [Array<Piece>] of plain cloth
        # @return [Stretches]
        #
        #   plan_task.stretches(rolled.pieces).all.size # => 2
        def stretches(pieces)
          Stretches.new(
            pieces.map do |piece|
              Stretches::Bar.new(whole(piece.length), flaws(piece), square_off(piece), paid(piece))
            end,
            kinds.map(&:length).min
          )
        end

        # @param pieces [Array<PiecePlan>]
        # @return [Length] what a plan takes that isn't paid for
        def cost(pieces)
          pieces.sum(Length::ZERO) { |made| [made.used - paid_lengths.fetch(made.id), Length::ZERO].max }
        end

        # @return [Hash{String => Length}] by piece, up to where its cloth costs nothing more
        #
        #   plan_task.paid_lengths # => {"R1"=>0 mm}
        def paid_lengths = @paid_lengths ||= cloth.pieces.to_h { |piece| [piece.id, wishes.paid(piece)] }

        # @return [Array<Array(Integer, Integer)>] in order
        #
        #   plan_task.flaws(rolled.pieces.first) # => [[4000, 4200]]
        def flaws(piece) = piece.flaws.map { |flaw| [whole(flaw.from), whole(flaw.to)] }.sort

        # @param pieces [Array<Piece>]
        # @param placed [Array<Array<Array(Integer, Integer, Integer)>>] for each piece: kind, from and to of its cuts
        # @param ids [Array<String>] the treatments that are cut from them
        # @return [Array<PiecePlan>]
        def laid(pieces, placed, ids)
          waiting = ids.flat_map { |id| treatments.fetch(id) }.group_by { |cut| @keys.index(key(cut)) }
          pieces.zip(placed).map do |piece, cuts|
            PiecePlan.new(
              id: piece.id,
              batch: piece.batch,
              length: piece.length,
              placed: cuts.map do |kind, from, to|
                Placed.new(cut: waiting.fetch(kind).shift, from: length(from), to: length(to))
              end
            )
          end
        end

        private

        def key(cut) = [cut.start, cut.length]

        def lengths
          pieces = cloth.pieces.flat_map do |piece|
            [piece.length, piece.pattern_start, *piece.flaws.flat_map { |flaw| [flaw.from, flaw.to] }]
          end
          [cloth.vertical_repeat, cloth.square_off, *pieces, *cuts.flat_map { |cut| [cut.length, cut.start].compact }]
        end
      end
    end
  end
end
