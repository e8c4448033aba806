# frozen_string_literal: true

module EarnestFold
  module Work
    # Where a fault of the program's own, at one record, is told: the work goes on, and whoever listens keeps it.
    module Faults
      module_function

      # @yieldparam about [String]
      # @yieldparam error [StandardError]
      def listen(&listener) = @listener = listener

      # @param about [String] what failed
      # @param error [Exception]
      def tell(about, error) = @listener&.call(about, error)
    end
  end
end
