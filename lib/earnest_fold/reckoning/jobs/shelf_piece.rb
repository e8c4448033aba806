# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # A flaw as it is kept: where, and what it is.
      KeptFlaw = Value.define(:from, :to, :what)

      # A piece of cloth as the shelf knows it: as delivered and as measured, its batch, where its first repeat line
      # falls, where it lies, and what was taken of it. All places are distances from its first end.
      class ShelfPiece < Value.define(
        :label,
        :delivered,
        :measured,
        :width,
        :repeat,
        :batch,
        :pattern_start,
        :place,
        :flaws,
        :squared,
        :accepted,
        :life
      )
        FLAW = Fields.new(from: Declare.length, to: Declare.length, what: Declare.text(most: 80))
        FIELDS = Fields.new(
          delivered: Declare.length(least: :over_zero),
          measured: Declare.length(nil, least: :over_zero),
          width: Declare.length(nil, least: :over_zero),
          repeat: Declare.pitch(nil),
          batch: Declare.text(most: 60),
          pattern_start: Declare.length(Length::ZERO, least: :any),
          place: Declare.text(most: 80),
          flaws: Declare.list(Declare.record(FLAW) { |values, _| KeptFlaw.new(**values) }.first, most: 200),
          squared: Declare.flag(false),
          accepted: Declare.flag(false)
        )

        # Nobody calls less a roll: a figure alone was meant in metres, or in yards.
        SHORT_FOR_A_ROLL = {true => Length.inches(36), false => Length.mm(1000)}.freeze
        OF_ROLL = %w[delivered measured].freeze

        # What reads well and can hardly be meant.
        # @param name [String] of a field
        # @param typed [String] as a person typed it
        # @param unit [Unit] of a length that names none
        # @return [Array(Symbol, Hash), nil] the code of the doubt and its facts
        #
        #   Cutting::ShelfPiece.doubt("delivered", "25", Units::CM) # => [:short_for_a_roll_cm, {:given=>"25"}]
        def self.doubt(name, typed, unit)
          return if !OF_ROLL.include?(name) || LengthReader.unit_named?(typed)

          length = LengthReader.read(typed, unit)
          short = length&.positive? && length < SHORT_FOR_A_ROLL.fetch(unit.inches?)
          short ? [:"short_for_a_roll_#{unit.name}", {given: typed}] : nil
        end

        # @param raw [Hash] plain values
        # @param label [String]
        # @param takings [Array<Taking>] in order
        # @param problems [Problems]
        # @return [ShelfPiece, nil]
        #
        #   piece = Cutting::ShelfPiece.read({"delivered" => "9 m"}, "P1", [], Problems.new, unit: Units::CM)
        #   piece.length # => 9000 mm
        def self.read(raw, label, takings, problems, unit: Units::MM)
          values = FIELDS.read(raw, unit, problems) or return
          length = values[:measured] || values[:delivered]
          misplaced(values[:flaws], length, problems.within(:flaws))
          if takings.any? && takings.last.to > length
            problems.within(values[:measured] ? :measured : :delivered).add(:shorter_than_cut, ended: takings.last.to)
          end
          new(**values, label: label, life: PieceLife.new(length: length, takings: takings)) unless problems.any?
        end

        def self.misplaced(flaws, length, problems)
          flaws.each_with_index do |flaw, index|
            problems.within(index).within(:to).add(:ends_before_it_starts) if flaw.to < flaw.from
            problems.within(index).add(:outside_the_piece) if flaw.to > length
          end
        end
        private_class_method :misplaced

        # @return [Length] what the tape says, else what the paper says
        #
        #   shelf_piece.length # => 9000 mm
        def length = life.length

        # @return [Length] up to where it is cut
        #
        #   shelf_piece.ended # => 0 mm
        def ended = life.ended

        # @return [Length]
        #
        #   shelf_piece.left # => 9000 mm
        def left = life.left

        # @return [Boolean] whether anything was cut of it
        #
        #   shelf_piece.begun? # => false
        def begun? = ended.positive?

        # What can be planned on: the piece from some place on, its distances from there.
        # @param from [Length]
        # @return [Piece]
        #
        #   shelf_piece.from(Length.cm(200)).length # => 7000 mm
        def from(from)
          ahead =
            flaws
              .select { |flaw| flaw.to > from }
              .map { |flaw| Flaw.new(from: [flaw.from - from, Length::ZERO].max, to: flaw.to - from) }
          Piece.new(
            id: label,
            length: length - from,
            batch: batch,
            pattern_start: pattern_start - from,
            flaws: ahead,
            squared: squared || from.positive?
          )
        end

        # @param cloth [Cloth]
        # @param batches [Array<String>] of the other pieces
        # @return [Delivery] it held against what is reckoned with
        #
        #   shelf_piece.delivery(cloth).stops? # => false
        def delivery(cloth, batches = []) =
          Delivery.new(
            cloth,
            delivered: delivered,
            measured: measured,
            width: width,
            repeat: repeat,
            batch: batch,
            batches: batches
          )

        # @param cloth [Cloth]
        # @return [Boolean] whether it may be planned on: nothing about it stops, or the maker has said to cut it all
        #   the same
        #
        #   shelf_piece.usable?(cloth) # => true
        def usable?(cloth) = accepted || !delivery(cloth).stops?
      end
    end
  end
end
