# frozen_string_literal: true

module EarnestFold
  module Store
    # What a customer's link opens, whatever workroom made it: that one paper as it went out, and nothing else.
    module ShownPapers
      # `paper` is the quote or the order, or `slip` the slip; `replaced` whether the job has a newer paper by now.
      Shown = Reckoning::Value.define(:workroom, :link_id, :paper, :slip, :replaced) do
        # @return [String] the PDF
        def content = (paper || slip).content

        # @return [Bills::Answer, nil] what was answered last
        def answer = (paper || slip).answer

        # @return [Time] when it was made
        def at = (paper || slip).at

        # @return [Boolean] whether it can still be answered here
        def open? = answer.nil? && !replaced
      end

      module_function

      # @param key [String]
      # @return [Shown, nil] nil where it is over, was taken back, or never was
      def find(key)
        row = Store.guard { good(key).select(:id, :workroom_id, :paper_id, :slip_id).first } or return
        workroom = Workroom.new(row[:workroom_id])
        paper, newer = row[:paper_id] ? paper_of(workroom, row[:paper_id]) : [nil, false]
        slip = row[:slip_id] && workroom.slips.find(row[:slip_id])
        Shown.new(workroom: workroom, link_id: row[:id], paper: paper, slip: slip, replaced: newer)
      end

      # @param key [String]
      # @param said [String] one of {Bills::ANSWERS}
      # @param name [String] of whoever answers
      # @param on [Date]
      # @raise [Missing] where the link is over
      # @raise [Taken] where it was answered before, or has been replaced
      def answer(key, said, name, on)
        Store.guard do
          Store.db.transaction(savepoint: true) do
            good(key).for_no_key_update.get(:id)
            shown = find(key) or raise Missing, "no such link"
            raise Taken, "answered, or replaced" unless shown.open?

            of = shown.paper ? {paper_id: shown.paper.id} : {slip_id: shown.slip.id}
            shown.workroom.insert(:paper_answers, **of, said: said, on: on, name: name, link_id: shown.link_id)
          end
        end
      rescue Sequel::UniqueConstraintViolation
        raise Taken, "answered"
      end

      # @api private
      def good(key) =
        Store.db[:customer_links].where(print: Invitations.print_of(key)).where { ends_at > Sequel.function(:now) }

      # @api private
      # @return [Array(Bills::Bill, Boolean)] and whether its job has a newer paper
      def paper_of(workroom, id)
        job = workroom.rows(:papers).where(id: id).get(:job_id)
        written = workroom.bills.of(job)
        [written.find { |paper| paper.id == id } || workroom.bills.find(job, id), written.first.id > id]
      end
    end
  end
end
