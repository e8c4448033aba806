# frozen_string_literal: true

module EarnestFold
  module Background
    # What both who asks and who orders do with what a supplier says: it is taken as it should be, or kept to be looked
    # at.
    module FromSupplier
      private

      def adapter = Adapters::Supplier

      # @return [Hash, nil] plain values; nil where it can't be right
      def said(what, about, text)
        Documents::SupplierFormat.read(what, text)
      rescue Reckoning::Invalid => invalid
        wrong(about, Words.problem(invalid.problems.first), text)
      end

      # @return [nil]
      def wrong(about, why, text)
        @room.supply.wrong(adapter::NAME, about, why, text)
        nil
      end

      # How an order stands: what is said of another's is never taken for it.
      def told(order, text)
        standing = said(:order, order.number, text) or return
        strange = stranger(order, standing)
        return wrong(order.number, Words.say("buying.strange.#{strange}"), text) if strange

        @room.orders.told(order.id, standing)
      end

      # @return [Symbol, nil] why it can't be this order's
      def stranger(order, standing)
        return :number if standing["order"] != order.number

        addressed = standing.fetch("deliveries", []).map { |one| one["for"].to_s } - [""]
        :house unless (addressed - [order.wanted["for"]]).empty?
      end
    end
  end
end
