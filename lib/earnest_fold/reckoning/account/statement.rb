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
          @lines = (exact + rounding(exact)).freeze
          freeze
        end

        # @return [String] "by_time" or "by_width"
        def school = @asked.school || @rules.school

        # @return [Money] what all its work comes to by a school
        def labour(by = school) = Money.sum(@priced.map { |one| one.public_send(by) })

        # @return [Rational] minutes of all work
        def minutes = @works.sum(0r, &:minutes)

        # @return [Money] of the lines
        def sum = Money.sum(lines.map(&:amount))

        # Prices without tax: it comes on top. Prices with tax: it is in them.
        # @return [Money] rounded once
        def tax
          return sum * (@rules.tax_percent / 100) unless gross?

          sum * (@rules.tax_percent / (100 + @rules.tax_percent))
        end

        # @return [Money] without tax
        def net = gross? ? sum - tax : sum

        # @return [Money] what is to be paid
        def gross = gross? ? sum : sum + tax

        # @return [Money, nil] what an hour of work comes to by what is asked, the rounding with it; nil where nothing
        #   is made
        def per_hour(by = school)
          return if minutes.zero?

          left = labour(by) + Money.sum(lines.select { |line| line.sort == :rounding }.map(&:amount))
          Money.of(left.to_r * 60 / minutes)
        end

        private

        def gross? = @rules.prices == "gross"

        def work_lines
          @works.zip(@priced).map do |work, one|
            Charge.new(
              sort: work.altered ? :altering : :making,
              name: work.title,
              data: {minutes: work.minutes.round, widths: work.widths, curtains: work.curtains, by: school.to_sym},
              amount: one.public_send(school)
            )
          end
        end

        def cloth_lines
          @bought.map do |cloth|
            Charge.new(
              sort: :cloth,
              name: cloth.name,
              data: {length: cloth.length},
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

        def rounding(exact)
          whole = Money.sum(exact.map(&:amount))
          apart = whole.in_steps(Money.of([@rules.round_to, 1/100r].max), @rules.rounding) - whole
          apart.zero? ? [] : [Charge.new(sort: :rounding, name: "", data: {}, amount: apart)]
        end
      end
    end
  end
end
