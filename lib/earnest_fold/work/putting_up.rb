# frozen_string_literal: true

module EarnestFold
  module Work
    # How the curtains of one layer come onto what they hang from, in words: hooked in from the return edge, or slid
    # onto a pole that comes off its brackets for it.
    #
    # @param title [String]
    # @param heading [Reckoning::Heading]
    # @param support [String] its kind
    # @param curtains [Array<Reckoning::Curtain>]
    PuttingUp = Reckoning::Value.define(:title, :heading, :support, :curtains) do
      # @return [Array<Told>] one after the other
      #
      #   asked = {title: "Bay", heading: treatment.heading, support: "track", curtains: [curtain]}
      #   Work::PuttingUp.new(**asked).order.size # => 1
      def order = heading.threaded? ? [take_off, *curtains.map { |one| slid(one) }, put_up] : hooked

      private

      def hooked = curtains.map { |one| hung(one, heading.carriers(one.heading)) }

      def hung(curtain, carriers) =
        Told.of(carriers ? "hanging.hang_on" : "hanging.hang", title: title, hand: curtain.hand, count: carriers)

      def take_off = Told.of("hanging.take_off.#{support}")

      def slid(curtain) = Told.of("hanging.slide_on", title: title, hand: curtain.hand)

      def put_up = Told.of("hanging.put_up.#{support}")
    end
  end
end
