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
      #
      #   Mass.of(cloth, Length.cm(140), Length.cm(200)) # => (7/10)
      def of(cloth, width, drop) = cloth.mass && (width.mm * drop.mm * cloth.mass / 1_000_000_000)

      # @param parts [Array<Rational, nil>]
      # @return [Rational, nil] unknown as soon as one part is
      #
      #   Mass.sum([1r, nil]) # => nil
      def sum(parts) = parts.include?(nil) ? nil : parts.sum(0r)
    end
  end
end
