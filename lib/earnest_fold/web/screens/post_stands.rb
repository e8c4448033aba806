# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # How the post is: whether there is one, whether it is open, and how it answered last.
      class PostStands
        POST = Adapters::Post

        # @return [PostStands] as it is now
        def self.now = new(POST.configured, Store::Outside.of(POST::NAME))

        # @param post [Adapters::Post, nil]
        # @param standing [Store::Outside::Standing]
        def initialize(post, standing)
          @post, @standing = post, standing
        end

        def there? = !@post.nil?

        def open? = @standing.open

        # @return [Boolean] whether what it takes stays on this machine
        def stand_in? = !@post&.stand_in.nil?

        def place = @post.place

        def from = @post.from

        # @return [Time, nil]
        def answered_at = @standing.answered_at

        # @return [String] in one sentence
        def says
          return Words.say("outside.post.none") unless there?
          return Words.say("outside.post.closed") unless open?
          return Words.say("outside.post.resting") if @standing.resting
          return Words.say("outside.post.fails", count: @standing.failures) if @standing.failures.positive?

          Words.say(stand_in? ? "outside.post.stand_in" : "outside.post.open")
        end

        # @return [Boolean] whether something is wrong with it
        def trouble? = there? && open? && @standing.failures.positive?
      end
    end
  end
end
