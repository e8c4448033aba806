# frozen_string_literal: true

module EarnestFold
  module Work
    # A plan as it is kept, and back: its cuts by their places among those that were to be planned, lengths exact.
    class WrittenPlan
      R = Reckoning
      C = R::Cutting

      # @param stock [Reckoning::Cloth] with its pieces
      # @param cuts [Array<Reckoning::Cutting::Cut>] all that were to be planned
      def initialize(stock, cuts)
        @stock, @cuts = stock, cuts
      end

      # @param plan [Reckoning::Cutting::Plan]
      # @return [Hash] of texts, numbers and lists
      #
      #   Work::WrittenPlan.new(rolled, cuts).written(plan).keys # => ["proved", "bound", "pieces", "uncut"]
      def written(plan) = {
        "proved" => plan.proved,
        "bound" => text(plan.bound),
        "pieces" => plan.pieces.map { |piece| piece.placed.map { |one| [@cuts.index(one.cut), text(one.from)] } },
        "uncut" => plan.uncut.map { |one| [one.treatment, one.count, text(one.length), text(one.to_buy)] }
      }

      # @param kept [Hash] as it was written of the same pieces and cuts
      # @return [Reckoning::Cutting::Plan]
      #
      #   Work::WrittenPlan.new(rolled, cuts).then { |written| written.read(written.written(plan)) == plan } # => true
      def read(kept)
        C::Plan.new(
          pieces: @stock.pieces.zip(kept["pieces"]).map { |piece, placed| on(piece, placed) },
          uncut: kept["uncut"].map { |of, count, length, to_buy|
            C::Uncut.new(treatment: of, count: count, length: length(length), to_buy: length(to_buy))
          },
          proved: kept["proved"],
          bound: length(kept["bound"])
        )
      end

      private

      def on(piece, placed)
        lying = placed.map do |index, from|
          cut = @cuts.fetch(index)
          C::Placed.new(cut: cut, from: length(from), to: length(from) + cut.length)
        end
        C::PiecePlan.new(id: piece.id, batch: piece.batch, length: piece.length, placed: lying)
      end

      def text(length) = length.mm.to_s

      def length(text) = R::Length.new(Rational(text))
    end
  end
end
