# frozen_string_literal: true

module EarnestFold
  module Store
    # A customer who is to be forgotten: what of theirs goes, and what the books keep. What was made, of which cloth and
    # how, stays the workroom's own, without a name at it.
    class Forgetting
      # So many of each go; `invoices` is how many invoices stand in the books and keep their papers as they went out.
      Outlook = Reckoning::Value.define(:jobs, :papers, :slips, :photographs, :letters, :links, :invoices)

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param id [Integer] of the customer
      # @return [Outlook] what {forget} would do
      def outlook(id) =
        Store.guard do
          Outlook.new(
            jobs: jobs(id).count,
            papers: papers(id).count,
            slips: of_works(:slips, id).count,
            photographs: of_works(:photographs, id).count,
            letters: letters(id).count,
            links: links(id).count,
            invoices: @workroom.rows(:papers).where(kind: "invoice", job_id: jobs(id).select(:id)).count
          )
        end

      # @param id [Integer] of the customer
      # @yieldparam job [Integer]
      # @yieldreturn [String] what the job is called from now on: names stood in its title
      # @return [Outlook] what went, and what stayed
      # @raise [Missing]
      def forget(id)
        @workroom.transaction do
          @workroom.rows(:customers).where(id: id).for_update.get(:id) or raise Missing, "no customer #{id}"
          done = outlook(id)
          Store.db.run("SET LOCAL earnest_fold.forgetting = 'yes'")
          forget_papers(id)
          jobs(id).select_map(:id).each { |job| forget_job(job, yield(job)) }
          @workroom.rows(:customers).where(id: id).delete
          Store.db.run("SET LOCAL earnest_fold.forgetting = 'no'")
          @workroom.insert(:erasures, customer_id: id, counts: Sequel.pg_jsonb(done.to_h), by: @workroom.by)
          done
        end
      end

      private

      def jobs(id) = @workroom.rows(:jobs).where(customer_id: id)

      def works(id)
        windows = @workroom.rows(:windows).where(job_id: jobs(id).select(:id))
        @workroom.rows(:treatments).where(window_id: windows.select(:id))
      end

      def of_works(table, id) = @workroom.rows(table).where(treatment_id: works(id).select(:id))

      # Those of jobs that were never invoiced: the books don't ask for them. Their numbers stand on, without a name.
      def papers(id)
        invoiced = @workroom.rows(:papers).where(kind: "invoice").select(:job_id)
        @workroom.rows(:papers).where(job_id: jobs(id).select(:id)).exclude(job_id: invoiced)
      end

      def letters(id) = @workroom.rows(:letters).where(job_id: jobs(id).select(:id))

      def links(id)
        all = @workroom.rows(:papers).where(job_id: jobs(id).select(:id)).select(:id)
        @workroom.rows(:customer_links)
          .where(Sequel.|({paper_id: all}, {slip_id: of_works(:slips, id).select(:id)}))
      end

      def forget_papers(id)
        @workroom.rows(:paper_answers).where(paper_id: papers(id).select(:id)).update(name: "", link_id: nil)
        nameless = Sequel.lit("jsonb_set(jsonb_set(content, '{customer}', '\"\"'), '{title}', '\"\"')")
        papers(id).update(content: nameless)
        links(id).delete
        letters(id).delete
        %i[slips photographs].each { |table| of_works(table, id).delete }
      end

      def forget_job(job, title) =
        @workroom.rows(:jobs).where(id: job)
          .update(customer_id: nil, house_id: nil, notes: "", title: title, version: Sequel[:version] + 1)
    end
  end
end
