# frozen_string_literal: true

require "que"

module EarnestFold
  module Background
    # What a supplier has, and how an order stands: asked by the queue, an open order again and again.
    class AskingSupplier < Que::Job
      include FromSupplier

      # Seconds until an open order is asked after again.
      AGAIN = 600

      # @param workroom [Integer]
      # @param what [String] "catalogue", "stock", "order" (again and again until it is closed), or "standing" (once)
      # @param key [String, Integer] the code, or the order
      def run(workroom, what, key)
        @room, @taker = Store::Workroom.new(workroom), adapter.configured
        asked_now = @taker && Store::Outside.open?(adapter::NAME)
        TalkLog.note(adapter::NAME, "#{what} #{workroom} #{key}".strip, outcome(what, key)) if asked_now
        # Where this failed inside, the queue takes it once more by itself.
        again(key) if what == "order"
      end

      private

      # @return [Symbol] what came of it
      def outcome(what, key)
        asked(what, key)
        Store::Outside.answered(adapter::NAME)
        :answered
      rescue adapter::Unreached
        Store::Outside.failed(adapter::NAME, "unreached")
        :unreached
      rescue adapter::Refused => refused
        Store::Outside.answered(adapter::NAME)
        wrong("#{what} #{key}".strip, refused.message, "")
        :refused
      end

      def asked(what, key)
        case what
        when "catalogue" then said(:catalogue, what, @taker.catalogue)&.then { |told| @room.supply.keep(nil, told) }
        when "stock" then stock(key)
        when "order", "standing" then standing(@room.orders.find(key))
        end
      end

      def stock(code)
        told = said(:stock, code, @taker.stock(code)) or return
        return wrong(code, Words.say("buying.strange.cloth"), told.inspect) if told["code"] != code

        @room.supply.keep(code, told)
      end

      def standing(order) = order.closed? ? nil : told(order, @taker.standing(order.number))

      def again(id)
        order = @room.orders.find(id)
        return if order.closed? || order.old?

        @room.supply.ask("order", id, seconds: AGAIN)
      rescue Store::Missing
        nil
      end
    end
  end
end
