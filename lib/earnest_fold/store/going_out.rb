# frozen_string_literal: true

require "que"

module EarnestFold
  module Store
    # What goes outside by the queue, once: it waits, goes, is tried again later and later, or is given up, and says so.
    # Who includes it has `rows` with their state, gives a `record` of one, and names its `WORKER`.
    module GoingOut
      # Seconds until it is tried again, after each time that it didn't go.
      AGAIN = [20, 60, 300, 1800, 7200].freeze

      # Into the queue, in the same transaction; one that goes already goes once.
      def send_off(id)
        @workroom.transaction do
          going = rows.where(id: id, state: %w[draft failed]).update(state: "waiting", tries: 0, why: "", ended_at: nil)
          enqueue(id) unless going.zero?
        end
      end

      # @return [Object, nil] its record; nil where it isn't to go any more
      def begin(id)
        Store.guard do
          row = rows.where(id: id, state: "waiting").returning.update(tries: Sequel[:tries] + 1).first
          row && record(row)
        end
      end

      # @param id [Integer]
      def sent(id) = ended(id, state: "sent", why: "")

      # It didn't go: tried again later, or given up.
      # @param why [String] one of our own words
      # @param for_good [Boolean] whether trying again is no use
      def not_sent(id, why, for_good:)
        @workroom.transaction do
          after = AGAIN[rows.where(id: id).get(:tries) - 1] unless for_good
          next ended(id, state: "failed", why: why) unless after

          rows.where(id: id).update(why: why)
          enqueue(id, after)
        end
      end

      # It wasn't tried at all: what takes it is switched off, or left alone for a while.
      def put_off(id, seconds)
        @workroom.transaction { enqueue(id, seconds) unless rows.where(id: id, state: "waiting").empty? }
      end

      private

      def ended(id, **values) =
        Store.guard { rows.where(id: id).update(**values, ended_at: Sequel::CURRENT_TIMESTAMP) }

      def enqueue(id, seconds = 0)
        at = seconds.zero? ? {} : {run_at: Time.now + seconds}
        Que.enqueue(@workroom.id, id, job_options: {job_class: self.class::WORKER, queue: Outside::QUEUE, **at})
      end
    end
  end
end
