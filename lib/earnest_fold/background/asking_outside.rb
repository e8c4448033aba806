# frozen_string_literal: true

require "que"

module EarnestFold
  module Background
    # Whether somebody answers outside: asked from the queue, so that nothing silent holds a page up.
    class AskingOutside < Que::Job
      THINGS = [Adapters::Post, Adapters::LabelPrinter, Adapters::Supplier].freeze

      # @param name [String] of the thing
      def run(name)
        adapter = THINGS.to_h { |one| [one::NAME, one] }[name] or return
        taker = adapter.configured or return
        taker.answers
        Store::Outside.answered(name)
        TalkLog.note(name, "asked", :answered)
      rescue => trouble
        raise unless troubles.any? { |kind| trouble.is_a?(kind) }

        Store::Outside.failed(name, "unreached")
        TalkLog.note(name, "asked", :unreached)
      end

      private

      def troubles = [*THINGS.map { |one| one::Unreached }, Adapters::Post::Refused, Adapters::Supplier::Refused]
    end
  end
end
