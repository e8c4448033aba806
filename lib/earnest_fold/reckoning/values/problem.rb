# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # One thing that is wrong with what a person gave: where (a JSON Pointer), what (a code), and the facts for the
    # words. The words themselves stand in the locale file, under `problems`.
    Problem = Value.define(:at, :code, :data)

    # What a person gave can't be reckoned. Carries every problem found, not only the first.
    class Invalid < Error
      # @return [Array<Problem>]
      attr_reader :problems

      # @param problems [Array<Problem>] at least one
      def initialize(problems)
        @problems = problems.dup.freeze
        super(problems.map { |problem| "#{problem.at}: #{problem.code}" }.join(", "))
      end
    end

    # Collects problems while a document is read, and knows where in it the reading stands.
    class Problems
      # @param within [Problems, nil] those that it is a part of
      # @param step [String, Symbol, Integer, nil] where in them
      def initialize(within = nil, step = nil, found = [])
        @within, @step, @found = within, step, found
      end

      # @return [String] the JSON Pointer of the place being read
      #
      #   Problems.new.within("windows").within(0).at # => "/windows/0"
      def at = @at ||= @within ? "#{@within.at}/#{@step.to_s.gsub("~", "~0").gsub("/", "~1")}" : ""

      # @param step [String, Symbol, Integer] a key or an index
      # @return [Problems] the same collection, one step further into the document
      #
      #   Problems.new.within(:support).within(:length).at # => "/support/length"
      def within(step) = Problems.new(self, step, @found)

      # More than these nobody reads; looking for more takes longer than it helps.
      MOST = 200

      # @param code [Symbol]
      # @return [nil] so that a reader can answer with it
      # @raise [Invalid] where there are so many by now that nothing more is looked for
      #
      #   Problems.new.tap { |problems| problems.add("not_positive") }.to_a.map(&:code) # => ["not_positive"]
      def add(code, **data)
        @found << Problem.new(at: at, code: code, data: data)
        (@found.size < MOST) ? nil : raise_any
      end

      # @return [Boolean] whether something at or below this place was found wrong
      #
      #   Problems.new.any? # => false
      def any? = @found.any? { |problem| problem.at == at || problem.at.start_with?("#{at}/") }

      # @return [Array<Problem>]
      #
      #   Problems.new.to_a # => []
      def to_a = @found.uniq

      # @raise [Invalid] where there is any problem
      #
      #   Problems.new.raise_any # => false
      def raise_any = @found.any? && raise(Invalid, to_a)
    end
  end
end
