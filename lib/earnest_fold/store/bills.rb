# frozen_string_literal: true

module EarnestFold
  module Store
    # Quotes, orders and invoices as they went out. Each kind is numbered one after the other, without a gap and never
    # twice: a number is taken in the same transaction as its paper, and whoever comes second waits.
    class Bills
      KINDS = %w[quote order invoice].freeze
      ANSWERS = %w[accepted declined].freeze
      # What a customer answered, on which day, and in which name where they said it themselves.
      Answer = Reckoning::Value.define(:said, :on, :name)
      # `content` is what was written, as plain values; `answer` the last one, nil while there is none.
      Bill = Reckoning::Value.define(:id, :job_id, :kind, :number, :content, :by, :at, :answer) do
        # @return [Boolean] whether a customer answers such a paper
        def answered_to? = kind != "invoice"
      end

      def initialize(workroom)
        @workroom = workroom
      end

      # One that went out, among all others: `open` is what of a job's last invoice isn't paid by now, nil elsewhere.
      Listed = Reckoning::Value.define(:bill, :title, :open)
      # One that somebody asks for by its number.
      Numbered = Reckoning::Value.define(:job_id, :title, :kind, :number)
      MOST_LISTED = 60
      # What was paid on a job so far.
      PAID = Sequel.lit(
        "(SELECT coalesce(sum((one->>'amount')::numeric), 0) FROM jsonb_array_elements(account->'payments') one)"
      )
      GROSS = Sequel.lit("(content->>'gross')::numeric")
      # What was answered last.
      ANSWERED = Sequel.lit(
        "(SELECT row_to_json(one) FROM (SELECT said, \"on\", name FROM paper_answers " \
        "WHERE paper_answers.workroom_id = papers.workroom_id AND paper_answers.paper_id = papers.id " \
        "ORDER BY paper_answers.id DESC LIMIT 1) one) AS answered"
      )
      private_constant :PAID, :GROSS, :ANSWERED

      # @param page [Integer] from 1, MOST_LISTED to a page
      # @return [Array<Listed>] the last written first
      def list(page: 1)
        Store.guard do
          of_page = @workroom.rows(:papers).order(Sequel.desc(:id)).limit(MOST_LISTED, (page - 1) * MOST_LISTED)
          with_jobs(of_page).select_append(GROSS.as(:gross)).order(Sequel.desc(Sequel[:papers][:id])).map do |row|
            open = row[:last_of_job] ? Reckoning::Money.read((row[:gross] - row[:paid]).to_s("F")) : nil
            Listed.new(bill: paper(row), title: row[:title], open: open)
          end
        end
      end

      # @param number [Integer]
      # @return [Array<Numbered>] the papers of that number, one of each kind at most
      def numbered(number)
        Store.guard do
          @workroom
            .rows(:papers)
            .join(:jobs, workroom_id: @workroom.id, id: :job_id)
            .where(number: number)
            .order(:kind)
            .select_map([:job_id, :title, :kind])
            .map { |job, title, kind| Numbered.new(job_id: job, title: title, kind: kind, number: number) }
        end
      end

      # @return [Reckoning::Money] what is open of all jobs' last invoices
      def open
        Store.guard do
          last = with_jobs(@workroom.rows(:papers)).select_append(GROSS.as(:gross)).from_self
            .where(last_of_job: true).where { gross > paid }
          Reckoning::Money.read((last.sum(Sequel.lit("gross - paid")) || BigDecimal(0)).to_s("F"))
        end
      end

      # @param job_id [Integer]
      # @return [Array<Bill>] the last first
      def of(job_id) =
        Store.guard do
          Store
            .prepared(:papers_of_job, workroom: @workroom.id, job: job_id) do
              Store.db[:papers].where(workroom_id: :$workroom, job_id: :$job).order(Sequel.desc(:id)).limit(50)
                .select_all(:papers).select_append(ANSWERED)
            end
            .map { |row| paper(row) }
        end

      # @param id [Integer]
      # @return [Bill]
      # @raise [Missing]
      def find(job_id, id) =
        Store.guard do
          if (row = @workroom.rows(:papers).where(job_id: job_id, id: id).first)
            paper(row)
          else
            raise(Missing, "no paper #{id}")
          end
        end

      # A customer answered a quote or an order. Whoever says something else later is believed.
      # @param job_id [Integer]
      # @param id [Integer] of the paper
      # @param said [String] one of ANSWERS
      # @param on [Date]
      # @raise [Missing] where there is no such paper in that job, or one that nobody answers
      def answer(job_id, id, said, on)
        @workroom.transaction do
          answerable = @workroom.rows(:papers).where(job_id: job_id, id: id).exclude(kind: "invoice")
          raise Missing, "no paper #{id} to be answered" if answerable.empty?

          @workroom.insert(:paper_answers, paper_id: id, said: said, on: on, by: @workroom.by)
        end
      end

      # @param job_ids [Array<Integer>]
      # @return [Array<Bill>] of each job that has one the last quote or order, unless it is invoiced by now
      def asked(job_ids)
        return [] if job_ids.empty?

        Store.guard do
          last = @workroom.rows(:papers).where(job_id: job_ids).order(:job_id, Sequel.desc(:id)).distinct(:job_id)
          Store.db[last.as(:papers)].exclude(kind: "invoice").select_all(:papers).select_append(ANSWERED)
            .map { |row| paper(row) }
        end
      end

      # @return [Hash{String => Integer}] the number that the next paper of each kind takes
      def following
        known =
          Store
            .guard do
              Store.prepared(:numbers_following, workroom: @workroom.id) do
                Store.db[:paper_numbers].where(workroom_id: :$workroom).select(:kind, :following)
              end
            end
            .to_h { |row| row.values_at(:kind, :following) }
        KINDS.to_h { |kind| [kind, known.fetch(kind, 1)] }
      end

      # @param kind [String] one of KINDS
      # @param content [Hash] plain values
      # @param number [Integer, nil] nil for the next one; any number begins a kind of which none has gone out yet
      # @return [Bill]
      # @raise [Missing] where there is no such job, [Taken] where the number was given out before, [OutOfTurn] where
      #   it would leave a gap
      def write(job_id, kind, content, number: nil)
        @workroom.transaction do
          raise Missing, "no job #{job_id}" if @workroom.rows(:jobs).where(id: job_id).empty?

          own = in_turn(kind, number, numbers(kind).for_no_key_update.get(:following))
          taken = @workroom
            .rows(:papers)
            .returning
            .insert(
              workroom_id: @workroom.id,
              job_id: job_id,
              kind: kind,
              number: own,
              content: Sequel.pg_jsonb(content),
              by: @workroom.by
            )
            .first
          numbers(kind).update(following: Sequel.function(:greatest, :following, own + 1))
          @workroom.rows(:jobs).where(id: job_id).update(invoiced: true) if kind == "invoice"
          paper(taken)
        end
      rescue Sequel::UniqueConstraintViolation
        raise Taken, "#{kind} #{number}"
      end

      # @api private
      # @param row [Object, nil] as the database gives it
      # @return [Answer, nil]
      def self.answer_of(row)
        answered = row && Records.plain(row)
        answered && Answer.new(said: answered["said"], on: Date.iso8601(answered["on"]), name: answered["name"])
      end

      private

      # Each with its job's title, what was paid there, and whether it is the last invoice of it.
      def with_jobs(papers)
        later = Store.db[:papers].as(:later)
        follows = Store.db[later].where(
          Sequel[:later][:workroom_id] => @workroom.id,
          Sequel[:later][:job_id] => Sequel[:papers][:job_id],
          Sequel[:later][:kind] => "invoice"
        ).where { Sequel[:later][:id] > Sequel[:papers][:id] }
        last = Sequel.&({Sequel[:papers][:kind] => "invoice"}, ~follows.exists)
        Store.db[papers.as(:papers)]
          .join(:jobs, workroom_id: @workroom.id, id: Sequel[:papers][:job_id])
          .select_all(:papers)
          .select_append(:title, PAID.as(:paid), last.as(:last_of_job), ANSWERED)
      end

      def in_turn(kind, number, following)
        return following if number.nil? || number == following

        written = @workroom.rows(:papers).where(kind: kind)
        return number if written.empty?

        raise written.where(number: number).empty? ? OutOfTurn : Taken, "#{kind} #{number}, the next is #{following}"
      end

      # The counter's row, made where there is none.
      def numbers(kind)
        @workroom.rows(:paper_numbers).insert_conflict.insert(workroom_id: @workroom.id, kind: kind)
        @workroom.rows(:paper_numbers).where(kind: kind)
      end

      def paper(row)
        answer = Bills.answer_of(row[:answered])
        Bill.new(**row.slice(*Bill.members), content: Records.plain(row[:content]), answer: answer)
      end
    end
  end
end
