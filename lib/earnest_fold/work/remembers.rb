# frozen_string_literal: true

module EarnestFold
  module Work
    # Of something that is made of records and rules, and of which more is made: whoever includes it says in `made_of`
    # what it was given, all of it, and what is made of it is remembered under the state of just that.
    module Remembers
      # @return [Object] the same one for everything of this kind that is made of the same
      #
      #   work.state.equal?(in_hand.work(1).state) # => true
      def state = @state ||= Memory.state([self.class, made_of])

      # @return [String] short: what it is made of fills pages
      def inspect = "#<#{self.class}>"

      # @param name [Array] what is made, with what else it is made from (figures and words, compared by content)
      # @yieldreturn [Object] made once, for as long as nothing that this is made of changes
      #
      #   work.once(:any) { 2 } # => 2
      def once(*name, &block) = Memory.fetch(state, name, &block)
    end
  end
end
