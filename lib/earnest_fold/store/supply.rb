# frozen_string_literal: true

require "que"

module EarnestFold
  module Store
    # What the supplier says there is, as it was told last: asked for by the queue, so that no page waits for it. Beside
    # it, under which code a cloth of ours stands there; and what was told from outside that could not be right.
    class Supply
      CATALOGUE = "catalogue"
      # By its name: whoever asks stands outside of this room.
      ASKING = "EarnestFold::Background::AskingSupplier"
      MOST_WRONG, LONGEST_WRONG = 20, 2000
      # `told` plain values.
      Told = Reckoning::Value.define(:told, :at)
      Wrong = Reckoning::Value.define(:id, :thing, :about, :why, :told, :at)

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @return [Told, nil] nil before it was told
      def catalogue = of(CATALOGUE)

      # @return [Told, nil] the pieces of one cloth
      def stock(code) = of("stock:#{code}")

      # @return [Time, nil] when the catalogue was told last
      def catalogue_at = Store.guard { rows.where(name: CATALOGUE).get(:at) }

      # Told anew.
      # @param code [String, nil] of whose pieces; nil for the catalogue
      # @param told [Hash] plain values
      def keep(code, told)
        values = {told: Sequel.pg_jsonb(told), at: Sequel::CURRENT_TIMESTAMP}
        Store.guard do
          rows.insert_conflict(target: %i[workroom_id name], update: values)
            .insert(workroom_id: @workroom.id, name: code ? "stock:#{code}" : CATALOGUE, **values)
        end
      end

      # Asks by the queue.
      # @param what [String] "catalogue", "stock", "order" (again and again until it is closed) or "standing" (once)
      # @param key [String, Integer] the code, or the order
      # @param seconds [Integer] from now
      def ask(what, key = "", seconds: 0)
        at = seconds.zero? ? {} : {run_at: Time.now + seconds}
        Store.guard do
          Que.enqueue(@workroom.id, what, key, job_options: {job_class: ASKING, queue: Outside::QUEUE, **at})
        end
      end

      # @param cloth [Integer]
      # @return [String, nil] under which code the supplier has it
      def code_of(cloth) = Store.guard { codes.where(cloth_id: cloth).get(:code) }

      # @param code [String, nil] nil: the supplier has none such
      # @raise [Missing] where there is no such cloth
      def name_code(cloth, code)
        Store.guard do
          next codes.where(cloth_id: cloth).delete unless code

          codes.insert_conflict(target: %i[workroom_id cloth_id], update: {code: code})
            .insert(workroom_id: @workroom.id, cloth_id: cloth, code: code)
        end
      end

      # What could not be right is kept to be looked at, and never taken.
      # @param about [String] what it was told of
      # @param why [String] in our own words
      # @param told [String] as it came
      def wrong(thing, about, why, told)
        @workroom.insert(
          :told_wrong, thing: thing, about: about, why: why,
          told: told.dup.force_encoding(Encoding::UTF_8).scrub("?").delete("\u0000")[0, LONGEST_WRONG]
        )
      end

      # @return [Array<Wrong>] the last first
      def wrongs =
        Store.guard do
          @workroom.rows(:told_wrong).order(Sequel.desc(:id)).limit(MOST_WRONG)
            .map { |row| Wrong.new(**row.slice(*Wrong.members)) }
        end

      # It was looked at.
      def looked_at = Store.guard { @workroom.rows(:told_wrong).delete }

      private

      def rows = @workroom.rows(:supply)

      def codes = @workroom.rows(:cloth_codes)

      def of(name)
        row = Store.guard { rows.where(name: name).first }
        row && Told.new(told: Records.plain(row[:told]), at: row[:at])
      end
    end
  end
end
