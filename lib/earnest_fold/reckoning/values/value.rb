# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A frozen record with named members, keyword only, with the interface of Ruby 3.2's Data so that it can become one.
    #
    #   Point = Value.define(:x, :y)
    #   Point.new(x: 1, y: 2).with(y: 3).to_h # => {:x=>1, :y=>3}
    class Value
      # @param members [Array<Symbol>]
      # @return [Class] a subclass of Value with those members; its `new` raises ArgumentError for a missing or
      #   unknown one
      #
      #   Value.define(:width, :drop).new(width: 2, drop: 3).drop # => 3
      def self.define(*members, &block)
        kind = Class.new(self)
        kind.instance_variable_set(:@members, members.freeze)
        kind.attr_reader(*members)
        kind.class_eval(initializer(members), __FILE__, __LINE__)
        kind.class_eval(&block) if block
        kind
      end

      # Written out, as one would by hand: every figure is a value, and a loop over names takes three times as long.
      # @api private
      def self.initializer(members)
        named, kept = members.map { |name| "#{name}:" }, members.map { |name| "@#{name} = #{name}" }
        shown, all = members.map { |name| "#{name}: @#{name}" }, members.map { |name| "@#{name}" }
        same = members.map { |name| "@#{name} == #{name}" }
        [
          "def initialize(#{named.join(", ")})", *kept, "freeze", "end",
          "def to_h = {#{shown.join(", ")}}",
          "def hash = [self.class, #{all.join(", ")}].hash",
          "def ==(other) = equal?(other) || (other.instance_of?(self.class) && other.of?(#{all.join(", ")}))",
          "alias_method :eql?, :==",
          "protected def of?(#{members.join(", ")}) = #{same.empty? ? "true" : same.join(" && ")}"
        ].join("\n")
      end
      private_class_method :initializer

      # @return [Array<Symbol>]
      #
      #   MeasuredPoints::Amount.members # => [:length, :expression]
      def self.members = @members || superclass.members

      # @!method to_h
      #   @return [Hash{Symbol => Object}]

      # @return [Value] a copy with some members changed
      #
      #   Allowance::NONE.with(kind: "single").kind # => "single"
      def with(**changes) = changes.empty? ? self : self.class.new(**to_h, **changes)

      # @param names [Array<Symbol>, nil] that a pattern asks for; nil for all
      # @return [Hash{Symbol => Object}]
      #
      #   treatment.making.hem.deconstruct_keys([:kind]) # => {:kind=>"double"}
      def deconstruct_keys(names) = names ? to_h.slice(*names) : to_h

      # @!method hash
      #   @return [Integer]

      # @!method ==(other)
      #   @param other [Object]
      #   @return [Boolean] whether it is of the same class, with the same members

      def inspect = "#<#{self.class.name} #{to_h.map { |name, value| "#{name}=#{value.inspect}" }.join(", ")}>"
      alias_method :to_s, :inspect

      def dup = self
      alias_method :clone, :dup
    end
  end
end
