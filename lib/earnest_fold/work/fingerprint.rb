# frozen_string_literal: true

require "digest"

module EarnestFold
  module Work
    # One short text for all that has the same content, in every process and on every day.
    module Fingerprint
      R = Reckoning
      PLAIN = [String, Symbol, Integer, Rational, TrueClass, FalseClass, NilClass].freeze

      module_function

      # @param thing [Object] values, lists, tables and plain things of any depth
      # @return [String]
      # @raise [ArgumentError] for anything else: what isn't looked into can't be told apart
      #
      #   Work::Fingerprint.of([Length.cm(1)]) == Work::Fingerprint.of([Length.mm(10)]) # => true
      def of(thing) = Digest::SHA256.hexdigest(written(thing))

      # @api private
      #
      #   Work::Fingerprint.written(Length.cm(3)) # => "30/1mm"
      def written(thing)
        case thing
        when R::Length then "#{thing.mm}mm"
        when R::Money then "#{thing.to_r}money"
        when R::Value then "#{thing.class}#{written(thing.to_h)}"
        when Hash then "{#{thing.map { |name, value| "#{written(name)}:#{written(value)}" }.join(",")}}"
        when Array then "[#{thing.map { |one| written(one) }.join(",")}]"
        when *PLAIN then thing.inspect
        else raise ArgumentError, "#{thing.class} has no fingerprint"
        end
      end
    end
  end
end
