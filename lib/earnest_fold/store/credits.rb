# frozen_string_literal: true

module EarnestFold
  module Store
    # What a supplier is to give back for a piece that came with flaws, short or narrow: asked for by the queue, once a
    # piece.
    class Credits
      include GoingOut

      # By its name: whoever asks stands outside of this room.
      WORKER = "EarnestFold::Background::AskingCredit"
      Credit = Reckoning::Value.define(:id, :order_id, :piece, :length, :about, :amount, :state, :why, :at)

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param piece [String] the supplier's own name for it
      # @param length [String] for how much of it
      # @param about [String] why
      # @return [Integer, nil] its id, on its way; nil where it was asked for already
      def ask(order, piece:, length:, about:)
        @workroom.transaction do
          values = {workroom_id: @workroom.id, order_id: order, piece: piece, length: length, about: about,
                    by: @workroom.by}
          rows.insert_conflict.returning(:id).insert(values).first&.fetch(:id)&.tap { |id| send_off(id) }
        end
      end

      # @return [Hash{Integer => Array<Credit>}] by order
      def of(orders) =
        Store.guard { rows.where(order_id: orders).order(:id).map { |row| record(row) }.group_by(&:order_id) }

      # @param amount [String] what is given back
      def agreed(id, amount) = Store.guard { rows.where(id: id).update(amount: amount) }

      private

      def rows = @workroom.rows(:credits)

      def record(row) = Credit.new(**row.slice(*Credit.members))
    end
  end
end
