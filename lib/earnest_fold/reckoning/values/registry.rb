# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # The kinds of one sort of thing (headings, checks, alterations), by name. Each kind's file registers it once, under
    # its own name; the loader freezes the registry when all are read.
    class Registry
      include Enumerable

      # @param contract [Array<Symbol>] what every kind must answer
      def initialize(*contract)
        @contract = contract
        @kinds = {}
      end

      # @param name [String]
      # @param kind [Object]
      # @raise [ArgumentError] for a name taken or a broken contract
      #
      #   Registry.new.register("any", 1) # => 1
      def register(name, kind)
        raise ArgumentError, "#{name} is registered already" if @kinds.key?(name)

        missing = @contract.reject { |message| kind.respond_to?(message) }
        raise ArgumentError, "#{name} doesn't answer #{missing.join(", ")}" if missing.any?

        @kinds[name] = kind
      end

      # Requires every file of a folder, checks that each registered what it is named for, and closes the registry.
      # @param folder [String]
      #
      #   Headings.frozen? # => true
      def load(folder)
        Dir[File.join(folder, "*.rb")].sort.each do |file|
          require file
          name = File.basename(file, ".rb")
          raise ArgumentError, "#{file} registers nothing under #{name}" unless @kinds.key?(name)
        end
        @kinds.freeze
        freeze
      end

      # @return [Object, nil]
      #
      #   Headings["wave"] # => EarnestFold::Reckoning::Wave
      def [](name) = @kinds[name]

      # @raise [KeyError]
      #
      #   Headings.fetch("wave") # => EarnestFold::Reckoning::Wave
      def fetch(name) = @kinds.fetch(name)

      # @return [Array<String>]
      #
      #   Headings.names.first(2) # => ["buckram_panel", "clip_ring"]
      def names = @kinds.keys

      # @yieldparam kind [Object] in the order of their files
      #
      #   Checks::Kinds.each { |kind| kind }.size # => 21
      def each(&block) = @kinds.each_value(&block)
    end
  end
end
