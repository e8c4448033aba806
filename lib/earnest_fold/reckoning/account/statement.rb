# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Account
      # A job's account: its lines, their sum, the tax and what is to be paid.
      class Statement
        # @return [Array<Charge>]
        attr_reader :lines

        # @param works [Array<Billed>]
        # @param bought [Array<Bought>]
        # @param asked [Asked]
        # @param rules [Rules]
        def initialize(works, bought, asked, rules)
          @works, @bought, @asked, @rules = works, bought, asked, rules
          @priced = works.map { |work| Account.priced(work, rules) }
          exact = work_lines + cloth_lines + other_lines
          @lines = (exact + settled(exact)).freeze
          freeze
        end

        # @return [String] "by_time" or "by_width"
        #
        #   statement.school # => "by_time"
        def school = @asked.school || @rules.school

        # @return [Money] what all its work comes to by a school
        #
        #   statement.labour.to_s # => "72.00"
        def labour(by = school) = Money.sum(@priced.map { |one| one.public_send(by) })

        # @return [Rational] minutes of all work
        #
        #   statement.minutes # => (120/1)
        def minutes = @works.sum(0r, &:minutes)

        # @return [Boolean] whether nothing is in it: no work, no cloth, and nothing asked for besides
        #
        #   statement.nothing? # => false
        def nothing? = lines.empty?

        # @return [Money] of the lines
        #
        #   statement.sum.to_s # => "303.00"
        def sum = Money.sum(lines.map(&:amount))

        # Prices without tax: it comes on top. Prices with tax: it is in them.
        # @return [Money] rounded once
        #
        #   statement.tax.to_s # => "60.60"
        def tax
          return sum * (@rules.tax_percent / 100) unless gross?

          sum * (@rules.tax_percent / (100 + @rules.tax_percent))
        end

        # @return [Money] without tax
        #
        #   statement.net.to_s # => "303.00"
        def net = gross? ? sum - tax : sum

        # @return [Money] what is to be paid
        #
        #   statement.gross.to_s # => "363.60"
        def gross = gross? ? sum : sum + tax

        # @return [Money] what was paid so far
        #
        #   statement.paid.to_s # => "0.00"
        def paid = Money.sum(@asked.payments.map(&:amount))

        # @return [Money] what is still open; below zero where too much was paid
        #
        #   statement.open.to_s # => "363.60"
        def open = gross - paid

        # @return [Rational] minutes by the clock, as planned where none ran
        #
        #   statement.clocked # => (120/1)
        def clocked = @works.sum(0r, &:took)

        # @return [Boolean] whether any clock ran
        #
        #   statement.clocked? # => false
        def clocked? = @works.any?(&:clocked)

        # @param took [Rational] minutes
        # @return [Money, nil] what an hour of work comes to by what is asked, the rounding or what was agreed on with
        #   it; nil where nothing is made
        #
        #   statement.per_hour.to_s # => "36.00"
        def per_hour(by = school, took = minutes)
          return if took.zero?

          left = labour(by) + Money.sum(lines.select { |line| SETTLED.include?(line.sort) }.map(&:amount))
          Money.of(left.to_r * 60 / took)
        end

        # Lines that bring the sum to what is asked.
        SETTLED = %i[rounding agreed].freeze

        private

        def gross? = @rules.prices == "gross"

        def work_lines
          @works.zip(@priced).map do |work, one|
            Charge.new(
              sort: work.altered ? :altering : :making,
              name: work.title,
              data: {
                minutes: ((school == "by_clock") ? work.took : work.minutes).round,
                widths: work.widths,
                curtains: work.curtains,
                by: school.to_sym
              },
              amount: one.public_send(school)
            )
          end
        end

        def cloth_lines
          @bought.map do |cloth|
            Charge.new(
              sort: :cloth,
              name: cloth.name,
              data: {length: cloth.length, sold_by: cloth.sold_by},
              amount: Money.of(cloth.length.mm / 1000 * cloth.price * (1 + @rules.cloth_margin / 100))
            )
          end
        end

        def other_lines
          curtains = @works.sum(&:curtains)
          [
            [:sundries, {curtains: curtains}, Money.of(@rules.sundries * curtains)],
            [:fitting, {windows: @asked.fitted}, Money.of(@rules.fitting * @asked.fitted)],
            [:travel, {}, @asked.travel]
          ].reject { |_, _, amount| amount.zero? }
            .map { |sort, data, amount| Charge.new(sort: sort, name: "", data: data, amount: amount) } +
            @asked.extras.map { |extra| Charge.new(sort: :extra, name: extra.name, data: {}, amount: extra.amount) }
        end

        # What is agreed on needs no rounding: one line brings the sum to it.
        def settled(exact)
          whole = Money.sum(exact.map(&:amount))
          sort = @asked.agreed ? :agreed : :rounding
          apart = (@asked.agreed || rounded(whole)) - whole
          apart.zero? ? [] : [Charge.new(sort: sort, name: "", data: {}, amount: apart)]
        end

        def rounded(whole) = whole.in_steps(Money.of([@rules.round_to, 1/100r].max), @rules.rounding)
      end
    end
  end
end
