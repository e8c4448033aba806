# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # A cut that is to lie just there: on which piece, from where.
      Pin = Value.define(:piece, :cut, :from) do
        # @return [Length] where it ends
        #
        #   Cutting::Pin.new(piece: "R1", cut: cuts.first, from: Length.cm(10)).to # => 2428 mm
        def to = from + cut.length
      end

      # What a maker wants of a plan beyond the rules: cuts pinned to their places, pieces not to be touched, pieces
      # to be used up first (their cloth counts for nothing), and batches that treatments are bound to (by what is cut
      # of them already).
      class Wishes < Value.define(:pins, :forbidden, :preferred, :batches)
        # @param pins [Array<Pin>]
        # @param forbidden [Array<String>] ids of pieces
        # @param preferred [Array<String>] ids of pieces
        # @param batches [Hash{String => String}] by treatment
        #
        #   Cutting::Wishes.of.none? # => true
        def self.of(pins: [], forbidden: [], preferred: [], batches: {}) =
          new(pins: pins, forbidden: forbidden, preferred: preferred, batches: batches)

        # @return [Boolean] whether nothing is wished; what is bound by what is cut is no wish
        #
        #   Cutting::Wishes.of(forbidden: ["R1"]).none? # => false
        def none? = pins.empty? && forbidden.empty? && preferred.empty?

        # @return [Array<Pin>] on a piece, in order along it
        #
        #   pin = Cutting::Pin.new(piece: "R1", cut: cuts.first, from: Length.mm(0))
        #   Cutting::Wishes.of(pins: [pin]).pins_on(rolled.pieces.first).size # => 1
        def pins_on(piece) = pins.select { |pin| pin.piece == piece.id }.sort_by(&:from)

        # A pinned cut is out of the planner's hands: where it lies is no place for others, as a flaw is none.
        # @param cloth [Cloth]
        # @return [Cloth] with the pieces that may be used
        #
        #   Cutting::Wishes.of(forbidden: ["R1"]).left_of(rolled).pieces # => []
        def left_of(cloth)
          pieces = cloth.pieces.reject { |piece| forbidden.include?(piece.id) && pins_on(piece).empty? }
          cloth.with(
            pieces: pieces.map do |piece|
              piece.with(flaws: piece.flaws + pins_on(piece).map { |pin| Flaw.new(from: pin.from, to: pin.to) })
            end
          )
        end

        # @param piece [Piece]
        # @return [Length] up to where its cloth costs nothing more: a pin takes everything before it, and a preferred
        #   piece is to be used up anyway
        #
        #   Cutting::Wishes.of(preferred: ["R1"]).paid(rolled.pieces.first) # => 30000 mm
        def paid(piece) = preferred.include?(piece.id) ? piece.length : pins_on(piece).map(&:to).max || Length::ZERO

        # @param treatment [String]
        # @param batch [String]
        # @return [Boolean] whether the treatment may be cut from that batch
        #
        #   Cutting::Wishes.of(batches: {"office" => "1"}).allowed?("office", "2") # => false
        def allowed?(treatment, batch) = batches.fetch(treatment, batch) == batch
      end

      Wishes::NONE = Wishes.of
    end
  end
end
