# frozen_string_literal: true

require "json"

module EarnestFold
  module Documents
    # All that a workroom knows of a customer, as one file to be handed to them: what is written down of them and of
    # their jobs as JSON, the papers and slips that went out as PDF, and the photographs of their curtains.
    class CustomerArchive
      # @param workroom [Object] what is kept of it
      # @param known [Work::KnownCustomer]
      # @yieldparam at [Time] when a paper went out
      # @yieldreturn [String] the day, as it stood on it
      def initialize(workroom, known, &day)
        @workroom, @known, @day, @files = workroom, known, day, {}
      end

      # @return [String] a tar
      def pack
        jobs = @known.jobs.map { |of_job| job(of_job) }
        whole = {"format" => "earnest-fold/customer", "version" => 1, **@known.known, "jobs" => jobs}
        Tar.pack("customer.json" => JSON.pretty_generate(whole).b, **@files)
      end

      private

      def job(of_job)
        record = @workroom.jobs.find(of_job.line.id)
        works = Work::Export.order(record)
        rest = rest_of(record, works)
        papers(record.id)
        works.each { |work| slips(record.id, work) }
        {
          "title" => record.title,
          "house" => of_job.house&.name,
          "windows" => record.windows.map { |window| {"room" => window.room, "name" => window.name} },
          "made" => of_job.made.map { |made| made.to_h.except(:id).transform_keys(&:to_s) },
          "letters" => @workroom.letters.of(record.id).map { |letter| told(letter) },
          **rest
        }
      end

      def told(letter) = {
        "to" => letter.to, "subject" => letter.subject, "body" => letter.body, "state" => letter.state,
        "by" => letter.by, "at" => letter.at.utc.iso8601
      }

      def rest_of(record, works)
        kept = @workroom.job_rest
        kept.of(record, works) do |picture|
          "job-#{record.id}/photograph-#{picture}.jpg".tap { |name| @files[name] = kept.image(picture).b }
        end
      end

      def papers(job)
        @workroom.bills.of(job).each do |bill|
          @files["job-#{job}/#{bill.kind}-#{bill.number}.pdf"] =
            BillPdf.new(bill.kind, bill.number, @day.call(bill.at), bill.content).render.b
        end
      end

      def slips(job, work)
        @workroom.slips.of(work).each do |slip|
          @files["job-#{job}/slip-#{slip.id}.pdf"] = @workroom.slips.file(slip.id).b
        end
      end
    end
  end
end
