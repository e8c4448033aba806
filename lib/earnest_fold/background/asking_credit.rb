# frozen_string_literal: true

module EarnestFold
  module Background
    # A credit on its way.
    class AskingCredit < Going
      include FromSupplier

      private

      def waiting = @room.credits

      def handed(credit)
        answer = said(:credit, number(credit), @taker.credit(Documents::SupplierSays.asked(asked(credit))))
        Store::Outside.answered(adapter::NAME)
        answer ? waiting.agreed(credit.id, answer["amount"]) : waiting.not_sent(credit.id, "wrong", for_good: true)
      rescue adapter::Unreached
        Store::Outside.failed(adapter::NAME, "unreached")
        waiting.not_sent(credit.id, "unreached", for_good: false)
      rescue adapter::Refused
        Store::Outside.answered(adapter::NAME)
        waiting.not_sent(credit.id, "refused", for_good: true)
      end

      def number(credit) = @room.orders.find(credit.order_id).number

      def asked(credit) =
        {"order" => number(credit), "piece" => credit.piece, "length" => credit.length, "why" => credit.about}
    end
  end
end
