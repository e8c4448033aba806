# frozen_string_literal: true

module EarnestFold
  module Words
    # A sum of the working as a maker would write it down: nothing is added that is nothing, no brackets stand round
    # one figure, and the figures that are shown give the figure they lead to. A length that the tape's fractions
    # don't hold is written as a decimal.
    module Sum
      SIGNS = ["+", "−"].freeze

      module_function

      # @param expression [Array] of lengths, numbers and signs
      # @return [Array] the same sum
      #
      #   Words::Sum.tidy(["(", 22, ")", "×", 2, "+", 0])  # => [22, "×", 2]
      def tidy(expression)
        return expression unless expression.include?("(") || expression.any? { |token| nothing?(token) }

        before = nil
        sum = expression
        until sum == before
          before = sum
          sum = without_brackets(without_nothing(sum))
        end
        sum
      end

      # @param line [Reckoning::Line]
      # @return [Boolean] whether there is a sum to show, and not only the figure once more
      #
      #   Words::Sum.told?(reckoning.working.first) # => true
      def told?(line) = !line.expression.empty? && tidy(line.expression) != [line.value]

      # @param length [Reckoning::Length]
      # @param unit [Reckoning::Unit]
      # @return [Boolean] whether the unit's step holds it exactly
      #
      #   Words::Sum.exact?(Length.inches(1), Units::CM) # => false
      def exact?(length, unit) = (length.mm / unit.step).denominator == 1

      # @return [String] to the thousandth of the unit, without needless noughts
      #
      #   Words::Sum.decimal(Length.inches(1), Units::CM) # => "2.54"
      def decimal(length, unit) = Words.number(length.mm / unit.size, 3)

      # @api private
      #
      #   Words::Sum.without_nothing([Length.cm(100), "+", Length.mm(0)]) # => [1000 mm]
      def without_nothing(sum)
        sum.each_index do |at|
          next unless nothing?(sum[at])
          return sum[0...at - 1] + sum[at + 3..] if at >= 1 && SIGNS.include?(sum[at - 1]) && sum[at + 1] == "×"
          if at >= 3 && sum[at - 1] == "×" && SIGNS.include?(sum[at - 3]) && ends?(sum[at + 1])
            return sum[0...at - 3] + sum[at + 1..]
          end
          return sum[0...at - 1] + sum[at + 1..] if at >= 1 && SIGNS.include?(sum[at - 1]) && ends?(sum[at + 1])
          return sum[0...at] + sum[at + 2..] if (at.zero? || sum[at - 1] == "(") && sum[at + 1] == "+"
        end
        sum
      end

      # @api private
      #
      #   Words::Sum.without_brackets(["(", Length.cm(100), ")", "×", 2]) # => [1000 mm, "×", 2]
      def without_brackets(sum)
        at = sum.each_index.find { |index| sum[index] == "(" && sum[index + 2] == ")" }
        at ? sum[0...at] + [sum[at + 1]] + sum[at + 3..] : sum
      end

      # @api private
      #
      #   Words::Sum.nothing?(Length.mm(0)) # => true
      def nothing?(token) = !token.is_a?(String) && token.zero?

      # A product goes on; anything else ends the term.
      # @api private
      #
      #   Words::Sum.ends?("+") # => true
      def ends?(token) = !%w[× ÷].include?(token)
    end
  end
end
