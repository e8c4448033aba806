# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A fault in a piece of cloth, from the piece's end.
    Flaw = Value.define(:from, :to)
    Flaw::FIELDS = Fields.new(from: Declare.length, to: Declare.length)

    # A piece of cloth on the shelf: its batch (dye lot), where its first repeat line falls, and its flaws; `squared`
    # where its end is cut square already, as it is after the first cut.
    class Piece < Value.define(:id, :length, :batch, :pattern_start, :flaws, :squared)
      FIELDS = Fields.new(
        id: Declare.id,
        length: Declare.length(least: :over_zero),
        batch: Declare.text,
        pattern_start: Declare.length(Length::ZERO, least: :any),
        flaws: Declare.list(Declare.record(Flaw::FIELDS) { |values, problems| Piece.flaw(values, problems) }.first),
        squared: Declare.flag(false)
      )

      # @param values [Hash] as {Flaw::FIELDS} read them
      # @param problems [Problems]
      # @return [Flaw, nil] nil where it ends before it starts
      #
      #   Piece.flaw({from: Length.cm(400), to: Length.cm(390)}, Problems.new) # => nil
      def self.flaw(values, problems)
        return problems.within(:to).add(:ends_before_it_starts) if values[:to] < values[:from]

        Flaw.new(**values)
      end

      # One that nobody has seen yet: planned on as if its first repeat line were at its end.
      # @param flaws [Array<Flaw>]
      # @return [Piece]
      #
      #   Piece.unseen("R1", "B7", Length.mm(9000)).squared # => false
      def self.unseen(id, batch, length, flaws: [])
        new(id: id, length: length, batch: batch, pattern_start: Length::ZERO, flaws: flaws, squared: false)
      end

      # @return [Piece, nil] nil where a flaw lies outside it
      #
      #   rolled.pieces.first.length # => 30000 mm
      def self.build(values, problems)
        outside = values[:flaws].each_index.select { |index| values[:flaws][index].to > values[:length] }
        outside.each { |index| problems.within(:flaws).within(index).add(:outside_the_piece) }
        new(**values) if outside.empty?
      end
    end

    # A cloth: width with its selvedges, its pattern, and what it does. `selvedge` is at each edge; `vertical_repeat`
    # 0 is plain; `mass` in g per m² and `price` per metre are nil where unknown.
    class Cloth < Value.define(
      :id,
      :name,
      :use,
      :width,
      :selvedge,
      :selvedge_in_seam,
      :vertical_repeat,
      :horizontal_repeat,
      :match,
      :one_way,
      :coated,
      :frays,
      :creeps,
      :curls,
      :loose,
      :printed,
      :shrink_percent,
      :square_off,
      :mass,
      :price,
      :order_step,
      :pieces
    )
      USES = %w[face lining interlining].freeze
      MATCHES = %w[straight half_drop].freeze
      ORDER_STEP = Length.mm(100)
      YARD = Length.inches(36)
      # Yards are cut off the roll in eighths.
      YARD_STEP = YARD / 8
      PIECE = Declare.record(Piece::FIELDS) { |values, problems| Piece.build(values, problems) }.first
      private_constant :PIECE
      FIELDS = Fields.new(
        id: Declare.id,
        name: Declare.text,
        use: Declare.choice(USES, said: "uses"),
        width: Declare.length(least: :over_zero),
        selvedge: Declare.length(Length::ZERO),
        selvedge_in_seam: Declare.flag(false),
        vertical_repeat: Declare.length(Length::ZERO, finest: Declare::FINEST),
        horizontal_repeat: Declare.length(Length::ZERO, finest: Declare::FINEST),
        match: Declare.choice(MATCHES, "straight", said: "matches"),
        one_way: Declare.flag(false),
        coated: Declare.flag(false),
        frays: Declare.flag(false),
        creeps: Declare.flag(false),
        curls: Declare.flag(false),
        loose: Declare.flag(false),
        printed: Declare.flag(false),
        shrink_percent: Declare.percent(0r, least: 0, under: 50),
        square_off: Declare.length(Length::ZERO),
        mass: Declare.number(nil, least: 0, most: 100_000),
        price: [FieldKinds::PriceKind.new, nil],
        order_step: Declare.length(ORDER_STEP, least: :over_zero),
        pieces: Declare.list(PIECE, most: 300)
      )

      # @return [Cloth, nil] nil where its figures contradict each other
      #
      #   Cloth.build(Cloth::FIELDS.read(ExampleWindow::CLOTH, Units::CM, Problems.new), Problems.new).mass # => (250/1)
      def self.build(values, problems)
        if values[:match] == "half_drop" && values[:vertical_repeat].zero?
          problems.within(:match).add(:half_drop_without_repeat)
        end
        problems.within(:width).add(:width_used_up) if values[:width] <= values[:selvedge] * 2
        repeated_pieces(values[:pieces]).each do |index|
          problems.within(:pieces).within(index).within(:id).add(:same_id)
        end
        new(**values) unless problems.any?
      end

      # @param pieces [Array<Piece>]
      # @return [Array<Integer>] which of them have the id of one before
      #
      #   Cloth.repeated_pieces(rolled.pieces * 2) # => [1]
      def self.repeated_pieces(pieces)
        pieces.each_index.select { |index| pieces.first(index).any? { |piece| piece.id == pieces[index].id } }
      end

      # @return [Rational] what is left of a length after shrinking: 49/50 for 2 %
      #
      #   cloth.with(shrink_percent: 3r).after_shrinking # => (97/100)
      def after_shrinking = 1 - shrink_percent / 100

      # @return [Boolean] whether the pattern comes again along the cloth
      #
      #   cloth.repeats? # => true
      def repeats? = vertical_repeat.positive?

      # @return [Boolean] whether the pattern stands half a repeat lower at the other selvedge
      #
      #   cloth.half_drop? # => false
      def half_drop? = match == "half_drop"

      # @return [Boolean] whether a width may not be turned about or swapped: patterned, or with a nap
      #
      #   cloth.handed? # => true
      def handed? = repeats? || horizontal_repeat.positive? || one_way

      # @return [Length] selvedge to selvedge, without either
      #
      #   cloth.usable_width # => 1380 mm
      def usable_width = width - selvedge * 2

      # @param length [Length]
      # @return [Length] up to the cloth's order step
      #
      #   cloth.to_order(Length.mm(4210)) # => 4300 mm
      def to_order(length) = length.ceil_to(order_step)

      # @return [Symbol] :yard where its order step is so many eighths of one, else :metre
      #
      #   cloth.sold_by # => :metre
      def sold_by = Cloth.sold_by(order_step)

      # @param order_step [Length]
      # @return [Symbol] how a cloth of that order step is sold
      #
      #   Cloth.sold_by(Length.inches(9)) # => :yard
      def self.sold_by(order_step) = ((order_step / YARD_STEP).denominator == 1) ? :yard : :metre

      # @param length [Length]
      # @return [Rational, nil] what the length costs, unrounded; nil where no price is known
      #
      #   cloth.cost(Length.cm(970)) # => (3589/20)
      def cost(length) = price && (price * length.mm / 1000)
    end
  end
end
