# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # One line of the working: `name` says which figure (its words stand in the locale file, filled from `data`),
    # `expression` is the sum with its real figures (Lengths, numbers and signs), `value` what it gave.
    Line = Value.define(:name, :data, :expression, :value) do
      # @param name [Symbol]
      # @param value [Length, Rational, Integer]
      # @param expression [Array]
      #
      #   Line.of(:cut_length, Length.mm(2560)).name # => :cut_length
      def self.of(name, value, expression = [], **data)
        new(name: name, data: data, expression: expression.freeze, value: value)
      end
    end
  end
end
