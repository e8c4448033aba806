# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A frozen record with named members, keyword only, with the interface of Ruby 3.2's Data so that it can become one.
    #
    #   Point = Value.define(:x, :y)
    #   Point.new(x: 1, y: 2).with(y: 3).to_h # => {x: 1, y: 3}
    class Value
      # @param members [Array<Symbol>]
      # @return [Class] a subclass of Value with those members
      def self.define(*members, &block)
        kind = Class.new(self)
        kind.instance_variable_set(:@members, members.freeze)
        kind.attr_reader(*members)
        kind.class_eval(&block) if block
        kind
      end

      # @return [Array<Symbol>]
      def self.members = @members || superclass.members

      # @raise [ArgumentError] for a missing or an unknown member
      def initialize(**given)
        names = self.class.members
        given.each { |name, value| instance_variable_set(:"@#{name}", value) if names.include?(name) }
        check_members(given, names) unless given.size == names.size && names.all? { |name| given.key?(name) }
        freeze
      end

      # @return [Hash{Symbol => Object}]
      def to_h = self.class.members.to_h { |name| [name, instance_variable_get(:"@#{name}")] }

      # @return [Value] a copy with some members changed
      def with(**changes) = changes.empty? ? self : self.class.new(**to_h, **changes)

      def deconstruct_keys(names) = names ? to_h.slice(*names) : to_h

      def ==(other) = other.instance_of?(self.class) && other.to_h == to_h
      alias_method :eql?, :==

      def hash = [self.class, to_h].hash

      def inspect = "#<#{self.class.name} #{to_h.map { |name, value| "#{name}=#{value.inspect}" }.join(", ")}>"
      alias_method :to_s, :inspect

      def dup = self
      alias_method :clone, :dup

      private

      def check_members(given, names)
        missing = names - given.keys
        unknown = given.keys - names
        raise ArgumentError, "missing keyword: #{missing.join(", ")}" if missing.any?
        raise ArgumentError, "unknown keyword: #{unknown.join(", ")}" if unknown.any?
      end
    end
  end
end
