# frozen_string_literal: true

module EarnestFold
  module Work
    # Of what is made of a whole workroom, and is another with its every change ({Memory.whole}): what is made of it it
    # keeps itself, so that all of it goes when it goes.
    module RemembersItself
      # Nobody looks at more of one.
      MOST = 60

      # @return [Object] the same one for as long as it is there
      def state = @state ||= Object.new.freeze

      # @return [String] short: what it is made of fills pages
      def inspect = "#<#{self.class}>"

      # @param name [Array] what is made, with what else it is made from (figures and words, compared by content)
      # @yieldreturn [Object] made once
      #
      #   in_hand.figures.once(:any) { 2 } # => 2
      def once(*name, &block) = kept.fetch(name, &block)

      private

      def kept = @kept ||= Store::Remembered.new(MOST)
    end
  end
end
