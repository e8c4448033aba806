# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What a job comes to: its work by the hour or by the width and drop band, cloth with its margin, sundries,
    # fitting, the way, and what else is asked; rounded once, taxed once. Every amount is {Money}, so lines always add
    # up to their sum.
    module Account
      # A piece of work: `widths` of cloth it is made of, its finished `drop`, how many `curtains`, and the `minutes`
      # of its steps.
      Billed = Value.define(:title, :minutes, :widths, :drop, :curtains, :altered)
      # Cloth that is bought for it: exact length and price of a metre.
      Bought = Value.define(:name, :length, :price)
      # What a job is asked for beside its work: which school (nil: the house's), at how many windows it is fitted,
      # what the way costs, and {Extra}s.
      Asked = Value.define(:school, :fitted, :travel, :extras)
      Extra = Value.define(:name, :amount)
      # One line: of which sort, of what, with the facts for its words, and its amount.
      Charge = Value.define(:sort, :name, :data, :amount)
      # Work by both schools.
      Priced = Value.define(:minutes, :by_time, :by_width)

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
          by_width: Money.of(work.widths * rules.for_a_width(work.drop))
        )
      end
    end
  end
end

require_relative "account/statement"
require_relative "account/changes"
