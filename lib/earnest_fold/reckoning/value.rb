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
        kind.instance_variable_set(:@slots, members.map { |name| [name, :"@#{name}"].freeze }.freeze)
        kind.attr_reader(*members)
        kind.class_eval(&block) if block
        kind
      end

      # @return [Array<Symbol>]
      def self.members = @members || superclass.members

      # @api private
      # @return [Array<Array(Symbol, Symbol)>] each member with its variable
      def self.slots = @slots || superclass.slots

      # @raise [ArgumentError] for a missing or an unknown member
      def initialize(**given)
        slots = self.class.slots
        check_members(given) unless given.size == slots.size
        slots.each { |name, variable| instance_variable_set(variable, given.fetch(name)) }
        freeze
      rescue KeyError
        check_members(given)
      end

      # @return [Hash{Symbol => Object}]
      def to_h = self.class.slots.to_h { |name, variable| [name, instance_variable_get(variable)] }

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

      def check_members(given)
        names = self.class.members
        missing = names - given.keys
        unknown = given.keys - names
        raise ArgumentError, "missing keyword: #{missing.join(", ")}" if missing.any?
        raise ArgumentError, "unknown keyword: #{unknown.join(", ")}" if unknown.any?
      end
    end
  end
end
