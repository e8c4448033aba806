# frozen_string_literal: true

module EarnestFold
  module Web
    # Somebody's own curtain as stored, with where it hangs.
    AlteredEntry = Reckoning::Value.define(:record, :window, :reckoned, :done, :house, :hung, :invoiced) do
      include AtWork

      def alteration? = true

      # @return [Array] cuts made: none is planned
      def made = []

      # @return [Array<String>] which curtains there are
      def hands = reckoning ? reckoning.curtain.hands : []

      # @return [Array<Reckoning::Check>]
      def checks = reckoning ? reckoning.stops : []

      # @return [String] what a document called it, or will
      def document_id = record.spec.fetch("id") { record.id.to_s }
    end
  end
end
