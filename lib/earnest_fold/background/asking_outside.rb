# frozen_string_literal: true

require "que"

module EarnestFold
  module Background
    # Whether somebody answers outside: asked from the queue, so that nothing silent holds a page up.
    class AskingOutside < Que::Job
      def run
        post = Adapters::Post.configured or return
        post.answers
        Store::Outside.answered(Adapters::Post::NAME)
      rescue Adapters::Post::Refused, Adapters::Post::Unreached
        Store::Outside.failed(Adapters::Post::NAME, "unreached")
      end
    end
  end
end
