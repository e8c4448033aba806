# frozen_string_literal: true

module EarnestFold
  module Store
    # Letters to customers: written as drafts, looked at, then sent by the queue; whatever comes of one is kept.
    class Letters
      include GoingOut

      SORTS = %w[quote order invoice slip ready reminder free].freeze
      # What of it is written by hand.
      TEXTS = %i[to subject body].freeze
      D = Reckoning::Declare
      FIELDS = Reckoning::Fields.new(
        to: D.text("", most: 120), subject: D.text("", most: 150), body: D.text("", most: 5000)
      )
      # By its name: whoever sends it stands outside of this room.
      WORKER = "EarnestFold::Background::Posting"
      MOST = 60
      Letter = Reckoning::Value.define(
        :id, :job_id, :paper_id, :slip_id, :sort, *TEXTS, :house, :state, :tries, :why, :version, :by, :at, :ended_at
      ) do
        # @return [Boolean] whether it may still be changed
        def draft? = state == "draft"

        # @return [Boolean] whether it couldn't be handed over
        def failed? = state == "failed"
      end

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param house [String] where the application answers
      # @return [Integer] its id
      # @param paper [Integer, nil] that goes along
      # @param slip [Integer, nil] that goes along, as it was handed out
      # @raise [Missing] where there is no such job, paper or slip
      def draft(job, sort:, house:, paper: nil, slip: nil, **texts)
        along = {paper_id: paper, slip_id: slip}
        @workroom.insert(
          :letters, job_id: job, sort: sort, house: house, by: @workroom.by, **along, **texts.slice(*TEXTS)
        )[:id]
      end

      # @return [Letter]
      # @raise [Missing]
      def find(id) = Store.guard { record(rows.where(id: id).first || raise(Missing, "no letter #{id}")) }

      # @return [Array<Letter>] of a job, the last first
      def of(job)
        Store.guard do
          found = Store.prepared(:letters_of_job, workroom: @workroom.id, job: job) do
            Store.db[:letters].where(workroom_id: :$workroom, job_id: :$job).order(Sequel.desc(:id)).limit(MOST)
          end
          found.map { |row| record(row) }
        end
      end

      # @return [Array<Letter>] of the whole workroom: those that wait, and those that failed, the last first
      def unsent
        Store.guard do
          found = Store.prepared(:letters_unsent, workroom: @workroom.id) do
            Store.db[:letters]
              .where(workroom_id: :$workroom, state: %w[waiting failed])
              .order(Sequel.desc(:id))
              .limit(MOST)
          end
          found.map { |row| record(row) }
        end
      end

      # @param jobs [Array<Integer>]
      # @return [Array<Integer>] those whose customer can be written to, and wasn't yet about the promised day
      def not_reminded(jobs) =
        Store.guard do
          reached = @workroom.rows(:customers).exclude(mail: "").select(:id)
          @workroom.rows(:jobs).where(id: jobs, customer_id: reached)
            .exclude(id: rows.where(sort: "reminder").select(:job_id)).select_map(:id)
        end

      # @param version [Integer] as it was read
      # @raise [Stale, Missing] also where it is no draft any more
      def change(id, texts, version:)
        raise Missing, "no draft #{id}" unless find(id).draft?

        @workroom.change(:letters, id, version: version, **texts.slice(*TEXTS))
      end

      # A draft that goes nowhere.
      # @raise [Missing]
      def throw_away(id) =
        Store.guard { rows.where(id: id, state: "draft").delete == 1 or raise Missing, "no draft #{id}" }

      # One that didn't go can be changed again, or thrown away.
      # @raise [Missing] where none such failed
      def as_draft(id) =
        Store.guard do
          changed = rows.where(id: id, state: "failed").update(state: "draft", version: Sequel[:version] + 1)
          changed == 1 or raise Missing, "no letter #{id} failed"
        end

      # It was taken, and came back after all.
      # @return [Boolean] whether there is such a letter that went
      def came_back(id) =
        Store.guard { rows.where(id: id, state: "sent").update(state: "failed", why: "bounced") == 1 }

      private

      def rows = @workroom.rows(:letters)

      def record(row) = Letter.new(**row.slice(*Letter.members))
    end
  end
end
