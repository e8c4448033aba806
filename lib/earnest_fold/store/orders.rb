# frozen_string_literal: true

require "securerandom"

module EarnestFold
  module Store
    # Orders of cloth: sent by the queue, each under a number of its own, so that it is one order however often it is
    # sent; what the supplier says of it, and what came.
    class Orders
      include GoingOut

      # By its name: whoever sends it stands outside of this room.
      WORKER = "EarnestFold::Background::Ordering"
      MOST = 20
      # So many days an open order is asked after by itself.
      DAYS = 60
      REFUSED = {Sequel.lit("told->>'state'") => "refused"}.freeze
      private_constant :REFUSED
      # `wanted` and `told` plain values: what was asked for, and what the supplier says of it.
      Order = Reckoning::Value.define(
        :id, :job_id, :cloth_id, :number, :wanted, :told, :told_at, :state, :tries, :why, :by, :at, :ended_at
      ) do
        # @return [Boolean] whether it couldn't be handed over
        def failed? = state == "failed"

        # @return [Boolean] whether it comes to nothing
        def nothing? = failed? || standing == "refused"

        # @return [Boolean] whether it was taken
        def sent? = state == "sent"

        # @return [String, nil] how it stands at the supplier's
        def standing = told && told["state"]

        # @return [Boolean] whether nobody asks after it any more by itself
        def old? = at < Time.now - Orders::DAYS * 86_400

        # @return [Boolean] whether nothing more is to come of it
        def closed? = failed? || %w[refused delivered].include?(standing)
      end
      # What came with one delivery note.
      Delivery = Reckoning::Value.define(:id, :order_id, :note, :told, :state, :by, :at) do
        # @return [Boolean] whether nobody has taken it onto the shelf or sent it back
        def waiting? = state == "waiting"
      end

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param wanted [Hash] plain values: code, batch, lengths, price
      # @return [Integer] its id, on its way
      # @raise [Missing] where there is no such job or cloth
      def place(job, cloth, wanted)
        @workroom.transaction do
          number = "EF-#{@workroom.id}-#{SecureRandom.alphanumeric(8).upcase}"
          made = @workroom.insert(:orders, job_id: job, cloth_id: cloth, number: number, by: @workroom.by,
            wanted: Sequel.pg_jsonb(wanted))
          made[:id].tap { |id| send_off(id) }
        end
      end

      # @return [Order]
      # @raise [Missing]
      def find(id) = Store.guard { record(rows.where(id: id).first || raise(Missing, "no order #{id}")) }

      # @return [Array<Order>] of a cloth for a job, the last first
      def of(job, cloth) = list(rows.where(job_id: job, cloth_id: cloth))

      # @return [Array<Order>] of the whole workroom: those of which something is still to come, the last first
      def open =
        list(rows.exclude(state: "draft").exclude(Sequel.lit("coalesce(told->>'state', '')") => %w[refused delivered]))

      # @return [Array<Order>] those that somebody has to see to: they didn't go, were refused, or what came of them
      #   waits to be taken in; the last first
      def to_be_seen_to
        Store.guard do
          found = Store.prepared(:orders_to_be_seen_to, workroom: @workroom.id) do
            waits = Store.db[:deliveries].where(workroom_id: :$workroom, state: "waiting").select(:order_id)
            Store.db[:orders]
              .where(workroom_id: :$workroom)
              .where(Sequel.|({state: "failed"}, REFUSED, {id: waits}))
              .order(Sequel.desc(:id))
              .limit(MOST)
          end
          found.map { |row| record(row) }
        end
      end

      # One that comes to nothing: it didn't go, or was refused.
      # @raise [Missing] where it is none such
      def forget(id) =
        Store.guard do
          gone = rows.where(id: id).where(Sequel.|({state: "failed"}, REFUSED)).delete
          gone == 1 or raise Missing, "order #{id} came to something"
        end

      # What the supplier says of it by now; each delivery note is kept once.
      # @param told [Hash] plain values
      def told(id, told)
        @workroom.transaction do
          rows.where(id: id).update(told: Sequel.pg_jsonb(told), told_at: Sequel::CURRENT_TIMESTAMP)
          told.fetch("deliveries", []).each { |one| came(id, one) }
        end
      end

      # @param orders [Array<Integer>]
      # @return [Hash{Integer => Array<Delivery>}] by order, in the order in which they came
      def deliveries(orders) =
        Store.guard do
          came = @workroom.rows(:deliveries).where(order_id: orders).order(:id)
          came.map { |row| delivery(row) }.group_by(&:order_id)
        end

      # Onto the shelf, once.
      # @param pieces [Array<Hash>] specs as {Reckoning::Cutting::ShelfPiece} reads them
      # @return [Array<Integer>] the new pieces
      # @raise [Missing] where it doesn't wait
      # @raise [Taken] where somebody took one in with the same names just now: the same again goes through
      def take_in(order, delivery, pieces)
        @workroom.transaction do
          ended_delivery(order.id, delivery, "received")
          pieces.map { |spec| @workroom.shelf.receive(order.cloth_id, @workroom.shelf.next_label, spec) }
        end
      end

      # @raise [Missing] where it doesn't wait
      def send_back(order, delivery) = @workroom.transaction { ended_delivery(order.id, delivery, "sent_back") }

      private

      def rows = @workroom.rows(:orders)

      def list(rows) = Store.guard { rows.order(Sequel.desc(:id)).limit(MOST).map { |row| record(row) } }

      def record(row) =
        Order.new(
          **row.slice(*Order.members),
          wanted: Records.plain(row[:wanted]),
          told: row[:told] && Records.plain(row[:told])
        )

      def delivery(row) = Delivery.new(**row.slice(*Delivery.members), told: Records.plain(row[:told]))

      def came(order, told) =
        @workroom.rows(:deliveries).insert_conflict
          .insert(workroom_id: @workroom.id, order_id: order, note: told["note"], told: Sequel.pg_jsonb(told))

      def ended_delivery(order, id, state)
        ended = @workroom.rows(:deliveries).where(order_id: order, id: id, state: "waiting")
          .update(state: state, by: @workroom.by)
        raise Missing, "no delivery #{id} waits" unless ended == 1
      end
    end
  end
end
