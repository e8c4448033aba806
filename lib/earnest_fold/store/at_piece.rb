# frozen_string_literal: true

module EarnestFold
  module Store
    # All that a piece's page stands on, in one question: in which state the pieces of its cloth are, its history, the
    # cloths and the house. Only what nobody has read in that state is asked for.
    class AtPiece
      # `others` are the pieces of the same cloth that aren't used up.
      Seen = Reckoning::Value.define(:piece, :others, :history, :cloths, :house)
      # Of as many pieces as are looked at.
      PIECES, TOLD = Remembered.new(40), Remembered.new(40)
      private_constant :PIECES, :TOLD

      def initialize(workroom)
        @workroom = workroom
      end

      # @param id [Integer]
      # @return [Seen]
      # @raise [Missing]
      def find(id)
        Store.guard do
          state = Store.prepared(:at_piece, workroom: @workroom.id, piece: id) { stands_on }.first
          piece, others = PIECES.fetch([@workroom.id, id, state.values_at(:pieces, :taken, :planned)]) do
            @workroom.shelf.with_others(id)
          end
          Seen.new(
            piece: piece,
            others: others,
            history: TOLD.fetch([@workroom.id, id, state[:told]]) { @workroom.shelf.history(id).freeze },
            cloths: @workroom.cloths.in_state(state[:cloths_state]),
            house: @workroom.house.in_state(state[:house_state])
          )
        end
      end

      private

      def stands_on =
        Versions
          .of(Shelf.stands_there(Shelf.beside(:$workroom, :$piece)).merge(told: told))
          .select_append(Cloths.state(:$workroom).as(:cloths_state), House.state(:$workroom).as(:house_state))

      def told = [
        Store.db[:piece_events].where(workroom_id: :$workroom, piece_id: :$piece), Versions.columns(:piece_events)
      ]
    end
  end
end
