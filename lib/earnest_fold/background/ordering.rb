# frozen_string_literal: true

module EarnestFold
  module Background
    # An order on its way: cloth of its batch is laid by first, where it asks for one.
    class Ordering < Going
      include FromSupplier

      # Seconds until one asks how it stands.
      SOON = 5

      private

      def waiting = @room.orders

      def hand(order)
        told(order, @taker.order(Documents::SupplierFormat.write(asked(order))))
        @room.supply.ask("order", order.id, seconds: SOON)
      end

      def asked(order)
        named = {"order" => order.number, **order.wanted.slice("code", "batch", "lengths")}
        laid = order.wanted["batch"].to_s.empty? ? nil : laid_by(order, named)
        {**named, "for" => order.wanted["for"], "reservation" => laid.to_s}
      end

      # Where it can't be laid by it is ordered all the same: what is confirmed says which batch it will be.
      def laid_by(order, named)
        said(:reservation, order.number, @taker.reserve(Documents::SupplierFormat.write(named)))&.fetch("reservation")
      rescue adapter::Refused
        nil
      end
    end
  end
end
