# frozen_string_literal: true

module EarnestFold
  module Store
    # What somebody's own curtains were like when they came in: marks and faults by place, and photographs. A note
    # that was wrong is struck and still stands there.
    class CameIn
      SORTS = %w[mark worn fault missing_hook shrunk other].freeze
      MOST_NOTES, MOST_PHOTOGRAPHS = 200, 24
      # A note: `across` and `down` are thousandths of the curtain's width (from its left edge as seen) and length
      # (from its top).
      Note = Reckoning::Value.define(:id, :sort, :curtain, :across, :down, :words, :struck, :by, :at)
      Photograph = Reckoning::Value.define(:id, :width, :height, :words, :by, :at)

      def initialize(workroom)
        @workroom = workroom
      end

      # @param treatment_id [Integer]
      # @return [Array<Note>] in the order in which they were made
      def notes(treatment_id) =
        Store.guard do
          rows(:condition_notes, treatment_id)
            .order(:id)
            .limit(MOST_NOTES)
            .map { |row| Note.new(**row.slice(*Note.members)) }
        end

      # @raise [Missing, Full]
      def note(treatment_id, **values)
        if Store.guard { rows(:condition_notes, treatment_id).count } >= MOST_NOTES
          raise Full, "notes of #{treatment_id}"
        end

        @workroom.insert(:condition_notes, treatment_id: treatment_id, by: @workroom.by, **values)
      end

      # @raise [Missing]
      def strike(treatment_id, id)
        changed = Store.guard { rows(:condition_notes, treatment_id).where(id: id).update(struck: true) }
        raise Missing, "no note #{id}" if changed.zero?
      end

      # @return [Array<Photograph>] without their images
      def photographs(treatment_id) =
        Store.guard do
          rows(:photographs, treatment_id).select(*Photograph.members).order(:id).map { |row| Photograph.new(**row) }
        end

      # @return [String] JPEG
      # @raise [Missing]
      def image(treatment_id, id) =
        Store.guard { rows(:photographs, treatment_id).where(id: id).get(:image) } ||
          raise(Missing, "no photograph #{id}")

      # @param image [String] JPEG as it was encoded anew
      # @raise [Missing, Full]
      def add_photograph(treatment_id, image, width:, height:, words: "")
        raise Full, "photographs of #{treatment_id}" if photographs(treatment_id).size >= MOST_PHOTOGRAPHS

        @workroom.insert(
          :photographs,
          treatment_id: treatment_id,
          image: Sequel.blob(image),
          width: width,
          height: height,
          words: words,
          by: @workroom.by
        )
      end

      # @raise [Missing]
      def remove_photograph(treatment_id, id)
        if Store.guard { rows(:photographs, treatment_id).where(id: id).delete }.zero?
          raise Missing, "no photograph #{id}"
        end
      end

      private

      def rows(table, treatment_id) = @workroom.rows(table).where(treatment_id: treatment_id)
    end
  end
end
