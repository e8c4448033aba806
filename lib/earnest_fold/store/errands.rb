# frozen_string_literal: true

require "que"

module EarnestFold
  module Store
    # What takes longer than a page may wait, and is worked out beside: asked for here, in the queue in the same
    # transaction, and how far it is.
    class Errands
      SORTS = [PLAN = "plan", PAPER = "paper"].freeze
      LIVE = %w[waiting running].freeze
      # By its name: whoever works on it stands outside of this room.
      WORKER = "EarnestFold::Background::Turn"
      # How many are told of, and for how long what was made is kept.
      MOST, DAYS_KEPT = 60, 2
      MOST_TRIES = 3

      # `parts` of so many (`of`, 0: nobody knows) are done; `why` it failed, a key of the words.
      Errand = Reckoning::Value.define(:id, :sort, :about, :state, :parts, :of, :why, :by, :asked_at, :begun_at,
        :ended_at) do
        # @return [Boolean] whether it is still to come
        def live? = LIVE.include?(state)

        # @return [Boolean] whether it was done, and not given up
        def done? = state == "done"
      end
      COLUMNS = Errand.members

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param sort [String] one of SORTS
      # @param about [Hash] what whoever works on it needs to know
      # @param mark [String] the same for the same thing: it is worked on once at a time
      # @return [Errand] the one that is at work already, where there is one
      def ask(sort, about, mark)
        @workroom.transaction do
          row =
            rows.returning(*COLUMNS).insert_conflict.insert(
              workroom_id: @workroom.id,
              sort: sort,
              about: Sequel.pg_jsonb(about),
              mark: mark,
              by: @workroom.by
            ).first
          next latest(sort, mark) unless row

          Que.enqueue(@workroom.id, row[:id], job_options: {job_class: WORKER})
          errand(row)
        end
      end

      # @return [Errand]
      # @raise [Missing]
      def find(id) = Store.guard { errand(one(id).select(*COLUMNS).first || raise(Missing, "no errand #{id}")) }

      # @return [Errand, nil] the last one that was asked for under that mark
      def latest(sort, mark)
        row = Store.guard do
          rows.where(sort: sort, mark: mark).order(Sequel.desc(:id)).select(*COLUMNS).first
        end
        row && errand(row)
      end

      # @return [Array<Errand>] the last first
      def list = Store.guard { rows.order(Sequel.desc(:id)).limit(MOST).select(*COLUMNS).map { |row| errand(row) } }

      # @return [Errand] the same asked for once more
      # @raise [Missing]
      def again(id)
        row = Store.guard { one(id).select(:sort, :about, :mark).first } or raise Missing, "no errand #{id}"
        ask(row[:sort], row[:about].to_h, row[:mark])
      end

      # Nobody goes on with it; whoever is at it learns of it by {#wanted?}.
      def stop(id) = Store.guard { one(id).where(state: LIVE).update(state: "stopped", ended_at: now) }

      # @return [Errand, nil] to be worked on; nil where nobody wants it any more. One whose worker was killed is begun
      #   again, but not for ever.
      def begin(id)
        Store.guard do
          left = one(id).where(state: LIVE)
          next if left.where { tries >= MOST_TRIES }.update(state: "failed", why: "killed", ended_at: now) == 1

          values = {state: "running", parts: 0, begun_at: now, tries: Sequel[:tries] + 1}
          begun = left.returning(*COLUMNS).update(values)
          begun.first && errand(begun.first)
        end
      end

      # @return [Boolean] whether anybody still waits for it
      def wanted?(id) = Store.guard { one(id).where(state: "running").count } == 1

      # How far it is; said of one that was stopped, nothing is kept.
      # @param parts [Integer]
      # @param of [Integer]
      def tell(id, parts, of) = Store.guard { one(id).where(state: "running").update(parts: parts, of: of) }

      # @param made [String, nil] the paper
      def done(id, made = nil) = ended(id, state: "done", made: made && Sequel.blob(made))

      # @param why [String] a key of the words
      def failed(id, why) = ended(id, state: "failed", why: why)

      # @return [String, nil] the paper that was made
      def made(id) = Store.guard { one(id).where(state: "done").get(:made) }

      # What nobody asks for any more.
      def forget_old
        Store.guard do
          rows
            .exclude(state: LIVE)
            .where(Sequel[:asked_at] < Sequel.lit("now() - interval '#{DAYS_KEPT} days'"))
            .delete
        end
      end

      private

      def rows = @workroom.rows(:errands)

      def one(id) = rows.where(id: id)

      def now = Sequel::CURRENT_TIMESTAMP

      def ended(id, **values) = Store.guard { one(id).where(state: "running").update(ended_at: now, **values) }

      def errand(row) = Errand.new(**row, about: row[:about].to_h)
    end
  end
end
