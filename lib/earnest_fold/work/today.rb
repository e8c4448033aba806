# frozen_string_literal: true

module EarnestFold
  module Work
    # What a day begins with: what hands do next at each bench, what waits and for what, what is promised, and
    # the jobs that somebody is at.
    class Today
      include RemembersItself

      # Looked at are so many jobs, those changed last.
      MOST = 24
      # What is promised is told for so many days.
      AHEAD = 14
      # What waits: `why` is :stop, :wanting, :cloth, :parts_come, :parts or :answer; `told` a check, problems, the day
      # it comes on, parts that are short and that nobody said a day for, or the paper that nobody answered; `entry` nil
      # where the whole job waits.
      Wait = Reckoning::Value.define(:why, :sheet, :entry, :told)
      # What is done next at a bench, and after that.
      AtBench = Reckoning::Value.define(:bench, :now, :after)
      # A job's promise with the working days to spare, which are fewer than none where it is late; nil where nothing
      # is left to do.
      Promise = Reckoning::Value.define(:sheet, :promised, :spare)

      # @param workroom [Workroom]
      # @param diary [Diary]
      # @return [Today] the same one as long as nothing has changed that it is made from
      def self.of(workroom, diary)
        kept = workroom.kept
        Memory.whole(self, kept.id, [kept.today.versions(MOST), workroom.house.state, diary.state]) do
          sheets = workroom.at_work(MOST)
          new(sheets, diary, kept.bills.asked(sheets.map { |sheet| sheet.job.id }))
        end
      end

      # @return [Array<Job>] the last changed first
      attr_reader :sheets
      # @return [Diary]
      attr_reader :diary

      # @param sheets [Array<Job>]
      # @param diary [Diary]
      # @param asked [Array<Store::Bills::Bill>] their last quotes and orders
      def initialize(sheets, diary, asked = [])
        @sheets, @diary, @asked = sheets, diary, asked
      end

      # @return [Array<AtBench>] those at which there is something to do, in the order of what comes first
      #
      #   today.benches.size # => 5
      def benches
        diary.plan.placed.group_by { |placed| placed.task.bench }
          .map { |bench, placed| AtBench.new(bench: bench, now: placed[0], after: placed[1]) }
      end

      # @return [Array<Wait>] what holds work first
      def waiting = stopped + wanting + arriving + parts + unanswered

      # So many days an answer is told.
      ANSWERS = 7

      # @return [Array<Array(Job, Store::Bills::Bill)>] what customers answered lately, the last first
      def came_back
        since = diary.now.to_date - ANSWERS
        papers = @asked.select { |bill| bill.answer && bill.answer.on >= since }
        papers.sort_by { |bill| [bill.answer.on, bill.id] }.reverse.map { |bill| [sheet_of(bill), bill] }
      end

      # So many days before it somebody is reminded of what was promised.
      REMINDED = 7

      # @return [Array<Promise>] those that are near, and not over
      def near = promised.select { |one| (one.promised - diary.now.to_date).to_i.between?(0, REMINDED) }

      # @return [Array<Promise>] the next one first
      def promised
        last = diary.now.to_date + AHEAD
        diary.sheets.filter_map { |sheet| promise(sheet) }.select { |one| one.promised <= last }.sort_by(&:promised)
      end

      private

      def works = sheets.flat_map { |sheet| sheet.works.map { |entry| [sheet, entry] } }

      def stopped
        works.filter_map do |sheet, entry|
          stop = entry.stop
          stop && Wait.new(why: :stop, sheet: sheet, entry: entry, told: stop)
        end
      end

      def wanting =
        works.reject { |_, entry| entry.reckoning }.map do |sheet, entry|
          Wait.new(why: :wanting, sheet: sheet, entry: entry, told: entry.problems)
        end

      # What comes on a day that somebody said, once for each job: cloth for its work, small parts for its hanging. Work
      # waits longer, until heavy cloth has lain.
      def arriving
        awaited = diary.plan.placed.map { |placed| diary.about(placed.task.key) }.select(&:awaited)
        come = awaited.uniq { |about| [about.sheet.job.id, about.steps.empty?] }.map do |about|
          why, name = about.steps.empty? ? [:parts_come, "parts"] : [:cloth, "cloth"]
          Wait.new(why: why, sheet: about.sheet, entry: nil, told: Diary.date(about.sheet.job, name))
        end
        come.select { |wait| wait.told > diary.now.to_date }
      end

      def sheet_of(bill) = sheets.find { |sheet| sheet.job.id == bill.job_id }

      def unanswered
        @asked.reject(&:answer).map do |bill|
          Wait.new(why: :answer, sheet: sheet_of(bill), entry: nil, told: bill)
        end
      end

      def parts =
        diary.sheets.select { |sheet| diary.held?(sheet.job) }.map do |sheet|
          Wait.new(why: :parts, sheet: sheet, entry: nil, told: diary.short(sheet.job.id))
        end

      def promise(sheet)
        promised = Diary.date(sheet.job, "promised") or return
        ready = diary.plan.ready(sheet.job.id)
        Promise.new(sheet: sheet, promised: promised, spare: ready && spare(ready, promised))
      end

      # @return [Integer] working days between
      def spare(ready, promised)
        works = ->(from, to) { (from...to).count { |date| diary.plan.calendar.works?(date) } }
        (ready <= promised) ? works.call(ready, promised) : -works.call(promised, ready)
      end
    end
  end
end
