# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What a job comes to: its work by the hour, as planned or by the clock, or by the width and drop band, cloth with
    # its margin, sundries, fitting, the way, and what else is asked; rounded once or brought to what was agreed on,
    # taxed once. Every amount is {Money}, so lines always add up to their sum.
    module Account
      # A piece of work: `widths` of cloth it is made of, its finished `drop`, how many `curtains`, the `minutes` of its
      # steps as planned, and those that the bench's clocks said, nil where none ran.
      class Billed < Value.define(:title, :minutes, :clocked, :widths, :drop, :curtains, :altered)
        def initialize(title:, minutes:, widths:, drop:, curtains:, altered:, clocked: nil) = super

        # @return [Rational] by the clock, as planned where none ran
        #
        #   work = Account::Billed.new(title: "", minutes: 9r, widths: 1r, drop: nil, curtains: 1, altered: false)
        #   work.took # => (9/1)
        def took = clocked || minutes
      end
      # Cloth that is bought for it: exact length and price of a metre.
      Bought = Value.define(:name, :length, :sold_by, :price)
      # What a job is asked for beside its work: which school (nil: the house's), at how many windows it is fitted,
      # what the way costs, {Extra}s, the sum that was agreed on (nil: what it comes to), and what was paid so far.
      class Asked < Value.define(:school, :fitted, :travel, :extras, :agreed, :payments)
        def initialize(school:, fitted:, travel:, extras:, agreed: nil, payments: []) = super
      end
      # What was paid: on which day (ISO 8601), in which words, how much.
      Payment = Value.define(:on, :name, :amount)
      Extra = Value.define(:name, :amount)
      # One line: of which sort, of what, with the facts for its words, and its amount.
      Charge = Value.define(:sort, :name, :data, :amount)
      # Work by each school.
      class Priced < Value.define(:minutes, :by_time, :by_clock, :by_width)
        def initialize(minutes:, by_time:, by_width:, by_clock: by_time) = super
      end

      module_function

      # @param work [Billed]
      # @param rules [Rules]
      # @return [Priced]
      #
      #   work = Account::Billed.new(
      #     title: "", minutes: 120r, widths: 4r, drop: Length.cm(210), curtains: 2, altered: false
      #   )
      #   Account.priced(work, house.account).by_time.to_s # => "72.00"
      def priced(work, rules)
        Priced.new(
          minutes: work.minutes,
          by_time: Money.of(work.minutes * rules.hourly_rate / 60),
          by_clock: Money.of(work.took * rules.hourly_rate / 60),
          by_width: Money.of(work.widths * rules.for_a_width(work.drop))
        )
      end
    end
  end
end

require_relative "account/statement"
require_relative "account/changes"
