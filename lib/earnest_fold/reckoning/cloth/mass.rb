# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # How heavy cloth is: "Sundries and mass" in the rules.
    module Mass
      module_function

      # @param cloth [Cloth]
      # @param width [Length]
      # @param drop [Length]
      # @return [Rational, nil] kilograms, unrounded; nil where nobody knows what the cloth weighs
      def of(cloth, width, drop) = cloth.mass && (width.mm * drop.mm * cloth.mass / 1_000_000_000)

      # @param parts [Array<Rational, nil>]
      # @return [Rational, nil] unknown as soon as one part is
      def sum(parts) = parts.include?(nil) ? nil : parts.sum(0r)
    end
  end
end
