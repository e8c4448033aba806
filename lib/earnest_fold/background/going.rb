# frozen_string_literal: true

require "que"

module EarnestFold
  module Background
    # One thing on its way outside, as the queue hands it out ({Store::GoingOut}). What didn't go is tried again later
    # and later. While what takes it is switched off, or didn't answer several times in a row, it waits.
    # Who is one says who takes it (`adapter`), where it waits (`waiting`), and hands it over (`hand`): WRONG where what
    # was answered can't be right.
    class Going < Que::Job
      # Seconds until one looks again whether it is open.
      LOOKS = 30
      # What came of it.
      SENT, UNREACHED, REFUSED, WRONG = :sent, :unreached, :refused, :wrong

      # @param workroom [Integer]
      # @param id [Integer]
      def run(workroom, id)
        @room, @taker = Store::Workroom.new(workroom), adapter.configured
        return waiting.put_off(id, LOOKS) if @taker && !Store::Outside.open?(adapter::NAME)

        one = waiting.begin(id) or return
        @taker ? handed(one) : waiting.not_sent(id, "none", for_good: true)
      end

      private

      def handed(one)
        outcome = tried(one)
        TalkLog.note(adapter::NAME, "#{self.class.name.split("::").last} #{@room.id}/#{one.id}", outcome)
        return waiting.sent(one.id) if outcome == SENT

        waiting.not_sent(one.id, outcome.to_s, for_good: outcome != UNREACHED)
      end

      # @return [Symbol] what came of it
      def tried(one)
        outcome = hand(one)
        Store::Outside.answered(adapter::NAME)
        (outcome == WRONG) ? WRONG : SENT
      rescue adapter::Unreached
        Store::Outside.failed(adapter::NAME, UNREACHED.to_s)
        UNREACHED
      rescue *refusals
        Store::Outside.answered(adapter::NAME)
        REFUSED
      end

      # Not every one refuses: what is refused is told at once.
      def refusals = adapter.const_defined?(:Refused) ? [adapter::Refused] : []
    end
  end
end
