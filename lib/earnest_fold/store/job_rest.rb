# frozen_string_literal: true

module EarnestFold
  module Store
    # What a job has besides its windows: out as plain values, and in again.
    class JobRest
      SAID = %i[by at].freeze
      # The rows of a work by what they are called outside, with what goes out of each.
      OF_WORK = {
        "entries" => [:bench_entries, %i[step curtain kind value place]],
        "lessons" => [:log_notes, %i[went_wrong next_time]],
        "condition" => [:condition_notes, %i[sort curtain across down words struck]],
        "photographs" => [:photographs, %i[words]]
      }.freeze

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param job [Records::Job]
      # @param works [Array<Integer>] in the order of its document
      # @yieldparam id [Integer] of a photograph
      # @yieldreturn [String] the file that it lies in
      # @return [Hash] plain values
      def of(job, works, &file)
        Store.guard do
          {
            "notes" => job.notes, "archived" => job.archived, "dates" => job.dates,
            "account" => whole_account(job.account), "works" => works_of(works, &file), "papers" => papers(job.id),
            "customer" => customer(job)
          }.compact
        end
      end

      # @param id [Integer] of a photograph
      # @return [String] JPEG
      def image(id) = Store.guard { @workroom.rows(:photographs).where(id: id).get(:image) }

      # Inside a transaction.
      # @param job [Integer]
      # @param works [Array<Integer>] its works in the order of the document
      # @param rest [Hash] as it was read
      # @param images [Hash{String => Array(String, Integer, Integer)}] JPEG, width and height by file
      # @return [Integer] how many papers had a number that another has already, and were left out
      def fill(job, works, rest, images)
        kept = {dates: texts(rest[:dates]), account: account(rest[:account])}
          .transform_values { |one| Sequel.pg_jsonb(one) }
        invoiced = rest[:papers].any? { |paper| paper[:kind] == "invoice" }
        @workroom.rows(:jobs).where(id: job)
          .update(notes: rest[:notes], archived: rest[:archived], invoiced: invoiced, **kept)
        whose(job, rest[:customer]) if rest[:customer]
        rest[:works].zip(works) { |work, id| id && fill_work(id, work, images) }
        rest[:papers].count { |paper| !fill_paper(job, paper) }
      end

      private

      def works_of(ids, &file)
        rows = OF_WORK.transform_values { |table, _| said_of(table, ids) }
        ids.map do |id|
          rows.to_h { |name, by_work| [name, by_work.fetch(id, []).map { |row| told(name, row, &file) }] }
        end
      end

      def said_of(table, ids)
        rows = @workroom.rows(table).where(treatment_id: ids).order(:id)
        rows = rows.select(:id, :treatment_id, :words, *SAID) if table == :photographs
        rows.all.group_by { |row| row[:treatment_id] }
      end

      def told(name, row)
        shown = row.slice(*OF_WORK.fetch(name).last, *SAID).transform_keys(&:to_s)
        shown = shown.merge("file" => yield(row[:id])) if name == "photographs"
        moment(shown)
      end

      def moment(row) = row.merge("at" => row["at"].utc.iso8601(6))

      def papers(job)
        rows = @workroom.rows(:papers).where(job_id: job).order(:id).all
        answers = @workroom.rows(:paper_answers).where(paper_id: rows.map { |row| row[:id] }).order(:id).all
          .group_by { |answer| answer[:paper_id] }
        rows.map do |row|
          moment(row.slice(:kind, :number, :by, :at).transform_keys(&:to_s)).merge(
            "content" => Records.plain(row[:content]),
            "answers" => answers.fetch(row[:id], []).map { |answer| answered(answer) }
          )
        end
      end

      def answered(answer) =
        moment(answer.slice(:said, :on, :name, :by, :at).transform_keys(&:to_s)).merge("on" => answer[:on].iso8601)

      # Whose the job is, and at which of their houses; nil where nobody said.
      def customer(job)
        return unless job.customer_id

        customers = @workroom.customers
        house = customers.houses(job.customer_id).find { |one| one.id == job.house_id }
        plainly(customers.find(job.customer_id), Customers::TEXTS)
          .merge("house" => house && plainly(house, Customers::OF_HOUSE)).compact
      end

      def plainly(record, names) = names.to_h { |name| [name.to_s, record.public_send(name)] }

      # Somebody of whom the same is known already is taken; else they are added.
      def whose(job, said)
        known = said.slice(*Customers::TEXTS)
        there = @workroom.customers.named(said[:name]).find { |one| one.to_h.slice(*Customers::TEXTS) == known }
        id = there ? there.id : @workroom.customers.add(known)
        @workroom.jobs.set_customer(job, id, said[:house] && house(id, said[:house]))
      end

      def house(id, said)
        there = @workroom.customers.houses(id).find { |one| one.to_h.slice(*Customers::OF_HOUSE) == said }
        there ? there.id : @workroom.customers.add_house(id, **said)
      end

      def texts(dates) = dates.compact.to_h { |name, day| [name.to_s, day.iso8601] }

      # One of which nothing is said is none, however it is kept.
      def whole_account(kept)
        whole = {"extras" => [], "payments" => []}.merge(kept)
        (whole.values.all? { |value| value.nil? || value == [] }) ? {} : whole
      end

      def account(said)
        return {} if said.empty?

        plain = said.compact.transform_keys(&:to_s)
        whole_account(plain).empty? ? {} : plain.merge(
          "extras" => said[:extras].map { |extra| extra.transform_keys(&:to_s) },
          "payments" => said[:payments].map { |paid| paid.merge(on: paid[:on].iso8601).transform_keys(&:to_s) }
        )
      end

      def fill_work(id, work, images)
        OF_WORK.each do |name, (table, columns)|
          work[name.to_sym].each do |row|
            more = (table == :photographs) ? image_of(images.fetch(row[:file])) : {}
            @workroom.insert(table, treatment_id: id, **row.slice(*columns, *SAID), **more)
          end
        end
      end

      def image_of((bytes, width, height)) = {image: Sequel.blob(bytes), width: width, height: height}

      # A number that another paper has stays its own.
      # @return [Boolean] whether it is there now
      def fill_paper(job, paper)
        return false if @workroom.rows(:papers).where(kind: paper[:kind], number: paper[:number]).any?

        content = paper[:content].compact.transform_keys(&:to_s)
        content["lines"] = paper[:content][:lines].map { |line| line.transform_keys(&:to_s) }
        id = @workroom.insert(:papers, job_id: job, content: Sequel.pg_jsonb(content),
          **paper.slice(:kind, :number, :by, :at))[:id]
        paper[:answers].each { |answer| @workroom.insert(:paper_answers, paper_id: id, **answer) }
        counted(paper)
        true
      end

      def counted(paper)
        numbers = @workroom.rows(:paper_numbers)
        numbers.insert_conflict.insert(workroom_id: @workroom.id, kind: paper[:kind])
        numbers.where(kind: paper[:kind])
          .update(following: Sequel.function(:greatest, :following, paper[:number] + 1))
      end
    end
  end
end
