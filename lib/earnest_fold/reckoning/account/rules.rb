# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Account
      # A price for one width of cloth made up, for drops up to a length.
      Band = Value.define(:drop_to, :price)

      # What the house asks for its work: by the hour as planned or by the clock, or by the width and drop band; what it
      # adds to cloth, for sundries, fitting and the way; tax, and how sums are rounded. Prices are without tax ("net")
      # or hold it already ("gross").
      class Rules < Value.define(
        :school,
        :currency,
        :hourly_rate,
        :bands,
        :cloth_margin,
        :sundries,
        :fitting,
        :travel,
        :tax_percent,
        :prices,
        :round_to,
        :rounding
      )
        SCHOOLS = %w[by_time by_clock by_width].freeze
        PRICES = %w[net gross].freeze
        ROUNDINGS = %w[nearest up down].freeze
        BAND = Fields.new(
          drop_to: Declare.length(least: :over_zero),
          price: [FieldKinds::PriceKind.new, Fields::REQUIRED]
        )
        USUAL_BANDS =
          [[1500, 34], [2500, 46], [3500, 62]].map do |drop, price|
            Band.new(drop_to: Length.mm(drop), price: Rational(price))
          end
            .freeze
        PRICE = ->(amount) { [FieldKinds::PriceKind.new, Rational(amount)] }
        private_constant :PRICE
        FIELDS = Fields.new(
          school: Declare.choice(SCHOOLS, "by_time", said: "account.by"),
          currency: Declare.text("€", least: 1, most: 8),
          hourly_rate: PRICE.call(36),
          bands: Declare.list(
            FieldKinds::RecordKind.new(fields: BAND, build: ->(values, _) { Band.new(**values) }),
            USUAL_BANDS,
            least: 1,
            most: 12
          ),
          cloth_margin: Declare.percent(20r, least: 0, most: 1000),
          sundries: PRICE.call("4.50"),
          fitting: PRICE.call(25),
          travel: PRICE.call(0),
          tax_percent: Declare.percent(20r, least: 0, most: 100),
          prices: Declare.choice(PRICES, "net", said: "books.prices"),
          round_to: PRICE.call("0.50"),
          rounding: Declare.choice(ROUNDINGS, "nearest", said: "books.roundings")
        )

        # @param drop [Length] finished
        # @return [Rational] for one width; above the last band the last band's
        #
        #   Account::USUAL.for_a_width(Length.cm(212)) # => (46/1)
        def for_a_width(drop) =
          (bands.sort_by(&:drop_to).find { |band| drop <= band.drop_to } || bands.max_by(&:drop_to)).price
      end

      USUAL = Rules.new(**Rules::FIELDS.to_h { |field| [field.name, field.default] })
    end
  end
end
