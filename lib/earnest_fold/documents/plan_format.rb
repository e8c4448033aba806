# frozen_string_literal: true

module EarnestFold
  module Documents
    # The cutting plan out: each cloth's cuts on its pieces, as plain values for JSON; lengths in millimetres to 0.001.
    class PlanFormat
      # @param reckoning [Reckoning::JobReckoning]
      def initialize(reckoning)
        @reckoning = reckoning
      end

      # @return [Hash]
      #
      #   Documents::PlanFormat.new(JobReckoning.new(job)).to_h.keys # => ["format", "version", "cloths"]
      def to_h
        {
          "format" => "earnest-fold/plan",
          "version" => 1,
          "cloths" => @reckoning.cloths.to_h { |made| [made.cloth.id, Plain.value(cloth(made))] }
        }
      end

      private

      def cloth(made)
        plan = made.plan || endless(made)
        {
          "uncut" => plan.uncut.map(&:to_h),
          "length_used" => plan.length_used,
          "proved" => plan.proved,
          "bound" => plan.bound,
          "pieces" => plan.pieces.map { |piece| piece(piece) }
        }
      end

      # Cloth without pieces is planned on one endless piece.
      def endless(made)
        piece = Reckoning::Cutting::PiecePlan.new(id: "to order", batch: "", length: nil, placed: made.endless.placed)
        Reckoning::Cutting::Plan.new(
          pieces: [piece],
          uncut: [],
          proved: made.endless.proved?,
          bound: made.endless.length_used
        )
      end

      def piece(piece)
        {
          "id" => piece.id,
          "batch" => piece.batch,
          "cuts" => piece.placed.map { |placed| cut(placed) },
          "remnant" => remnant(piece)
        }
      end

      # An untouched piece is no remnant, and an endless one has none.
      def remnant(piece)
        {"from" => piece.used, "to" => piece.length} if piece.length && piece.touched? && piece.used < piece.length
      end

      def cut(placed)
        made = placed.cut
        {
          "treatment" => made.treatment,
          "curtain" => made.curtain,
          "width" => made.number,
          "phase" => made.phase,
          "from" => placed.from,
          "to" => placed.to
        }
      end
    end
  end
end
