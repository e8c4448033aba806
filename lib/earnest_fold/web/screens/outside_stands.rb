# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # How something outside is: whether there is one, whether it is open, and how it answered last.
      class OutsideStands
        # @param adapter [Class] of {Adapters}
        # @return [OutsideStands] as it is now
        def self.of(adapter) = new(adapter::NAME, adapter.configured, Store::Outside.of(adapter::NAME))

        # @return [String]
        attr_reader :name

        # @param name [String]
        # @param taker [Object, nil] what takes things there
        # @param standing [Store::Outside::Standing]
        def initialize(name, taker, standing)
          @name, @taker, @standing = name, taker, standing
        end

        def title = Words.say("outside.#{name}.title")

        def there? = !@taker.nil?

        def open? = @standing.open

        # @return [Boolean] whether what it takes stays on this machine
        def stand_in? = !@taker&.stand_in.nil?

        def place = @taker.place

        # @return [String, nil] the address that letters come from
        def from = @taker.respond_to?(:from) ? @taker.from : nil

        # @return [Time, nil]
        def answered_at = @standing.answered_at

        # @return [String] in one sentence
        def says
          return Words.say("outside.#{name}.none") unless there?
          return Words.say("outside.#{name}.closed") unless open?
          return Words.say("outside.#{name}.resting") if @standing.resting
          return Words.say("outside.#{name}.fails", count: @standing.failures) if @standing.failures.positive?

          Words.say("outside.#{name}.#{stand_in? ? "stand_in" : "open"}")
        end

        # @return [Boolean] whether something is wrong with it
        def trouble? = there? && open? && @standing.failures.positive?
      end
    end
  end
end
