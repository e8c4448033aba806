# frozen_string_literal: true

module EarnestFold
  module Work
    # What a supplier says, declared as everything that comes from outside is, and read as strictly; its schema is
    # published (schema/supplier.v1.json). A length is a text with its unit, or a number of millimetres; a price is by
    # the metre.
    module SupplierSays
      R = Reckoning
      D = R::Declare
      # Whatever a supplier calls something: no more than a label holds.
      CODE = 60
      STATES = %w[received confirmed refused delivered].freeze
      MOST_CLOTHS, MOST_PIECES, MOST_DELIVERIES = 2000, 500, 50

      # @return [Array] a field: a list of such records
      def self.listed(fields, most) = D.list(D.record(fields) { |values, _| values }.first, most: most)

      # @param most [Integer] characters
      # @return [Array] a field: a name that has to be there
      def self.named(most = CODE) = D.text(R::Fields::REQUIRED, least: 1, most: most)

      PRICE = R::FieldKinds::PriceKind.new
      BREAK = R::Fields.new(from: D.length(least: :over_zero), price: [PRICE, R::Fields::REQUIRED])
      CLOTH = R::Fields.new(
        code: named, name: named(200), width: D.length(least: :over_zero),
        vertical_repeat: D.length(R::Length::ZERO, finest: D::FINEST),
        horizontal_repeat: D.length(R::Length::ZERO, finest: D::FINEST),
        match: D.choice(R::Cloth::MATCHES, "straight"), price: [PRICE, R::Fields::REQUIRED], breaks: listed(BREAK, 20),
        care: D.text("", most: 300), flame: D.text("", most: 100)
      )
      ON_STOCK = R::Fields.new(piece: named, batch: named, length: D.length(least: :over_zero))
      CONFIRMED = R::Fields.new(
        batch: D.text("", most: CODE), lengths: D.list(D.length(least: :over_zero).first, most: MOST_PIECES),
        price: [PRICE, nil], on: [R::FieldKinds::DateKind.new, nil]
      )
      DELIVERED = R::Fields.new(
        piece: named, batch: named, length: D.length(least: :over_zero), width: D.length(nil, least: :over_zero),
        vertical_repeat: D.length(nil, finest: D::FINEST),
        flaws: listed(R::Flaw::FIELDS, 200)
      )
      DELIVERY = R::Fields.new(note: named, for: D.text("", most: 200), pieces: listed(DELIVERED, MOST_PIECES))
      # What is said, by what was asked.
      SAID = {
        catalogue: R::Fields.new(cloths: listed(CLOTH, MOST_CLOTHS)),
        stock: R::Fields.new(code: named, pieces: listed(ON_STOCK, MOST_PIECES)),
        reservation: R::Fields.new(reservation: named, batch: named),
        order: R::Fields.new(
          order: named, state: D.choice(STATES), why: D.text("", most: 300),
          confirmed: D.record(CONFIRMED, nil) { |values, _| values }, deliveries: listed(DELIVERY, MOST_DELIVERIES)
        ),
        credit: R::Fields.new(credit: named, amount: [R::FieldKinds::MoneyKind.new, R::Fields::REQUIRED])
      }.freeze
      # What is asked.
      ASKED = {
        reservation: R::Fields.new(order: named, code: named, batch: named,
          lengths: D.list(D.length(least: :over_zero).first, least: 1, most: MOST_PIECES)),
        order: R::Fields.new(order: named, for: named(200), code: named, batch: D.text("", most: CODE),
          lengths: D.list(D.length(least: :over_zero).first, least: 1, most: MOST_PIECES),
          reservation: D.text("", most: CODE)),
        credit: R::Fields.new(order: named, piece: named, length: D.length(least: :over_zero), why: named(300))
      }.freeze

      module_function

      # @param what [Symbol] of SAID, or :delivery
      # @param raw [Hash] plain values
      # @return [Hash{Symbol => Object}] lengths, prices and days
      # @raise [Reckoning::Invalid]
      def read(what, raw)
        problems = R::Problems.new
        values = ((what == :delivery) ? DELIVERY : SAID.fetch(what)).read(raw, R::Units::MM, problems)
        misplaced(values, problems) if what == :order && values
        problems.raise_any
        values
      end

      # What is kept was read strictly when it came; where it can't be read any more, the rest goes on without it.
      # @param what [Symbol] of SAID, or :delivery
      # @param raw [Hash] as it is kept
      # @return [Hash{Symbol => Object}, nil]
      def readable(what, raw)
        read(what, raw)
      rescue R::Invalid => invalid
        Faults.tell("what the supplier said (#{what}) can't be read any more", invalid)
        nil
      end

      # @param length [Reckoning::Length]
      # @return [String] as it goes out, to the thousandth
      #
      #   Work::SupplierSays.written(Length.inches(9/2r)) # => "114.300 mm"
      def written(length) = "#{R::LengthWriter.decimal((length.mm * 1000).round(half: :up), 3)} mm"

      # @param price [Rational] by the metre, as one said it
      # @return [String] just so
      #
      #   Work::SupplierSays.priced(284339/10_000r) # => "28.4339"
      def priced(price) = R::LengthWriter.decimal((price * 10_000).round(half: :up), 4)

      # A flaw lies on its piece.
      # @api private
      def misplaced(values, problems)
        values[:deliveries].flat_map { |one| one[:pieces] }.each do |piece|
          beyond = piece[:flaws].any? { |flaw| flaw[:to] > piece[:length] || flaw[:to] < flaw[:from] }
          problems.within("deliveries").add(:outside_the_piece) if beyond
        end
      end
    end
  end
end
