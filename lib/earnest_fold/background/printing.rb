# frozen_string_literal: true

module EarnestFold
  module Background
    # Labels on their way to the label printer.
    class Printing < Going
      private

      def adapter = Adapters::LabelPrinter

      def waiting = @room.prints

      def hand(print) = @taker.deliver(waiting.file(print.id))
    end
  end
end
