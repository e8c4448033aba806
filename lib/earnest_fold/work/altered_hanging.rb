# frozen_string_literal: true

module EarnestFold
  module Work
    # What hanging somebody's own curtain takes, as {Hanging} answers it: it goes back where it came from.
    class AlteredHanging
      R = Reckoning

      # @param work [Alteration] that is reckoned
      def initialize(work)
        @work = work
      end

      def hands = @work.hands

      # @return [Array<Told>] as it hung before
      def order = []

      # @return [Hash] nothing: it has its own
      def carried = {}

      # @return [Array<Array(String, Told)>] each curtain, as it came
      def edges = hands.map { |hand| [hand, Told.of("alter.as_it_came")] }

      # @return [Array<Array(Told, Reckoning::Length)>] the lengths to check when it hangs
      def lengths =
        [
          [Told.of("work_figures.length_at_last"), alteration.length_at_last],
          [Told.of("fields.wanted_length"), alteration.wanted_length],
          [Told.of("fields.stand_up"), alteration.stand_up]
        ]

      # @return [Reckoning::MakingUp::Measured] its length, at both edges
      def check =
        R::MakingUp::Measured.new(
          name: :length_at_last,
          planned: alteration.length_at_last,
          tolerance: Hanging::TOLERANCE,
          places: R::MakingUp::EDGES
        )

      private

      def alteration = @work.reckoning.alteration
    end
  end
end
