# frozen_string_literal: true

module EarnestFold
  module Background
    # A credit on its way.
    class AskingCredit < Going
      include FromSupplier

      private

      def waiting = @room.credits

      def hand(credit)
        answer = said(:credit, number(credit), @taker.credit(Documents::SupplierFormat.write(asked(credit))))
        answer ? waiting.agreed(credit.id, answer["amount"]) : WRONG
      end

      def number(credit) = @room.orders.find(credit.order_id).number

      def asked(credit) =
        {"order" => number(credit), "piece" => credit.piece, "length" => credit.length, "why" => credit.about}
    end
  end
end
