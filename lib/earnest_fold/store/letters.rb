# frozen_string_literal: true

require "que"

module EarnestFold
  module Store
    # Letters to customers: written as drafts, looked at, then sent by the queue; whatever comes of one is kept.
    class Letters
      SORTS = %w[quote order invoice ready reminder free].freeze
      # What of it is written by hand.
      TEXTS = %i[to subject body].freeze
      D = Reckoning::Declare
      FIELDS = Reckoning::Fields.new(
        to: D.text("", most: 120), subject: D.text("", most: 150), body: D.text("", most: 5000)
      )
      # By its name: whoever sends it stands outside of this room.
      WORKER = "EarnestFold::Background::Posting"
      # Seconds until it is tried again, after each time that it didn't go.
      AGAIN = [20, 60, 300, 1800, 7200].freeze
      MOST = 60
      Letter = Reckoning::Value.define(
        :id, :job_id, :paper_id, :sort, *TEXTS, :house, :state, :tries, :why, :version, :by, :at, :ended_at
      ) do
        def draft? = state == "draft"

        def failed? = state == "failed"
      end

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param house [String] where the application answers
      # @return [Integer] its id
      # @raise [Missing] where there is no such job or paper
      def draft(job, sort:, house:, paper: nil, **texts) =
        @workroom.insert(
          :letters, job_id: job, paper_id: paper, sort: sort, house: house, by: @workroom.by, **texts.slice(*TEXTS)
        )[:id]

      # @return [Letter]
      # @raise [Missing]
      def find(id) = Store.guard { letter(rows.where(id: id).first || raise(Missing, "no letter #{id}")) }

      # @return [Array<Letter>] of a job, the last first
      def of(job) =
        Store.guard { rows.where(job_id: job).order(Sequel.desc(:id)).limit(MOST).map { |row| letter(row) } }

      # @return [Array<Letter>] of the whole workroom: those that wait, and those that failed, the last first
      def unsent =
        Store.guard do
          rows.where(state: %w[waiting failed]).order(Sequel.desc(:id)).limit(MOST).map { |row| letter(row) }
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

      # Into the queue, in the same transaction; one that goes already goes once.
      # @raise [Missing]
      def send_off(id)
        @workroom.transaction do
          going = rows.where(id: id, state: %w[draft failed]).update(state: "waiting", tries: 0, why: "", ended_at: nil)
          next find(id) if going.zero?

          enqueue(id)
        end
      end

      # @return [Letter, nil] nil where it isn't to go any more
      def begin(id)
        Store.guard do
          row = rows.where(id: id, state: "waiting").returning.update(tries: Sequel[:tries] + 1).first
          row && letter(row)
        end
      end

      def sent(id) = ended(id, state: "sent", why: "")

      # It didn't go: tried again later, or given up.
      # @param why [String] one of our own words
      # @param for_good [Boolean] whether trying again is no use
      def not_sent(id, why, for_good:)
        @workroom.transaction do
          letter = find(id)
          after = AGAIN[letter.tries - 1] unless for_good
          next ended(id, state: "failed", why: why) unless after

          rows.where(id: id).update(why: why)
          enqueue(id, after)
        end
      end

      # It wasn't tried at all: the post is switched off, or left alone for a while.
      def put_off(id, seconds)
        @workroom.transaction { enqueue(id, seconds) unless rows.where(id: id, state: "waiting").empty? }
      end

      private

      def rows = @workroom.rows(:letters)

      def ended(id, **values) =
        Store.guard { rows.where(id: id).update(**values, ended_at: Sequel::CURRENT_TIMESTAMP) }

      def enqueue(id, seconds = 0)
        at = seconds.zero? ? {} : {run_at: Time.now + seconds}
        Que.enqueue(@workroom.id, id, job_options: {job_class: WORKER, queue: Outside::QUEUE, **at})
      end

      def letter(row) = Letter.new(**row.slice(*Letter.members))
    end
  end
end
