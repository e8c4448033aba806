# frozen_string_literal: true

module EarnestFold
  module Store
    # Slips of somebody's own curtains as they went out: what was agreed to stays as it was.
    class Slips
      MOST = 20
      # `content` is what the slip says, as plain values; `answer` the last one, nil while there is none.
      Slip = Reckoning::Value.define(:id, :treatment_id, :content, :by, :at, :answer)
      ANSWERED = Sequel.lit(
        "(SELECT row_to_json(one) FROM (SELECT said, \"on\", name FROM paper_answers " \
        "WHERE paper_answers.workroom_id = slips.workroom_id AND paper_answers.slip_id = slips.id " \
        "ORDER BY paper_answers.id DESC LIMIT 1) one) AS answered"
      )
      private_constant :ANSWERED

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param content [Hash] plain values
      # @param file [String] the PDF
      # @return [Integer] its id
      # @raise [Full]
      def write(treatment_id, content, file)
        raise Full, "slips of #{treatment_id}" if of(treatment_id).size >= MOST

        kept = {content: Sequel.pg_jsonb(content), file: Sequel.blob(file)}
        @workroom.insert(:slips, treatment_id: treatment_id, by: @workroom.by, **kept)[:id]
      end

      # @return [Array<Slip>] the last first
      def of(treatment_id) =
        Store.guard do
          @workroom.rows(:slips).where(treatment_id: treatment_id).order(Sequel.desc(:id))
            .select(:id, :treatment_id, :content, :by, :at).select_append(ANSWERED).map { |row| slip(row) }
        end

      # @return [String] PDF
      # @raise [Missing]
      def file(id) = Store.guard { @workroom.rows(:slips).where(id: id).get(:file) } || raise(Missing, "no slip #{id}")

      # @return [Slip]
      # @raise [Missing]
      def find(id) =
        Store.guard do
          row = @workroom.rows(:slips).where(id: id)
            .select(:id, :treatment_id, :content, :by, :at).select_append(ANSWERED).first
          row ? slip(row) : raise(Missing, "no slip #{id}")
        end

      private

      def slip(row) = Slip.new(
        **row.slice(*Slip.members), content: Records.plain(row[:content]), answer: Bills.answer_of(row[:answered])
      )
    end
  end
end
