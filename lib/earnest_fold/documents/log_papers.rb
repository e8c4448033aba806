# frozen_string_literal: true

module EarnestFold
  module Documents
    # The logbook as rows: a row for each step that was timed, and one for each thing that was learnt.
    class LogPapers
      # @param log [Work::Logbook]
      def initialize(log)
        @log = log
      end

      # @return [Array<Hash{String => String}>]
      def rows =
        @log.works.flat_map do |work|
          work.timed.map { |time| timed(work, time) } + work.notes.map { |note| learnt(work, note) } +
            work.drops.map { |drop| made(work, drop) }
        end

      private

      def head(work, sort) =
        {
          "job" => work.sheet.job.title,
          "work" => work.entry.title,
          "cloth" => work.cloth.to_s,
          "batches" => work.batches.join(" "),
          "sort" => sort
        }

      def timed(work, time)
        head(work, "time").merge(
          "step" => time.step.code,
          "curtain" => time.step.curtains.join(" "),
          "planned_minutes" => Words.number(time.planned, 2),
          "real_minutes" => Words.number(time.real, 2),
          "corrected" => time.corrected ? "yes" : "no"
        )
      end

      def learnt(work, note) =
        head(work, "learnt").merge(
          "went_wrong" => note.went_wrong,
          "next_time" => note.next_time,
          "by" => note.by,
          "at" => note.at.utc.iso8601
        )

      def made(work, (curtain, place, typed)) =
        head(work, "drop").merge("curtain" => curtain.to_s, "edge" => place, "as_made" => typed)
    end
  end
end
