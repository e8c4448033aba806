# frozen_string_literal: true

module EarnestFold
  module Work
    # The logbook made from what was said at the bench: each piece of work with its steps, planned and in truth, its
    # drops as made, its batches and what was learnt.
    class Logbook
      include RemembersItself

      M = Reckoning::MakingUp
      # A step with its minutes: planned, and in truth (nil where nobody timed it).
      Timing = Reckoning::Value.define(:step, :planned, :real, :corrected, :forgotten)
      # A piece of work.
      Logged = Reckoning::Value.define(:sheet, :entry, :times, :drops, :batches, :notes) do
        # @return [Array<Timing>] those that were timed
        def timed = times.select(&:real)

        # @return [Rational] minutes, of the steps that were timed
        def planned = timed.sum(0r, &:planned)

        # @return [Rational] minutes that those took
        def real = timed.sum(0r, &:real)

        # @return [String, nil]
        def cloth = entry.cloth_name
      end
      # All steps of a kind together.
      KindOfStep = Reckoning::Value.define(:code, :planned, :real, :works)
      # Where a drop as made is measured.
      DROPS = %w[mark_drop check_length].freeze

      # @param sheets [Array<Job>]
      # @param said [Hash{Integer => Array<Store::Bench::Entry>}]
      # @param notes [Hash{Integer => Array<Store::Logbook::Lesson>}]
      # @param batches [Hash{Integer => Array<String>}]
      # @param house [Reckoning::HouseRules]
      def initialize(sheets, said, notes, batches, house)
        @sheets, @said, @notes, @batches, @house = sheets, said, notes, batches, house
      end

      # @param workroom [Store::Workroom]
      # @param settled [Store::House::Record]
      # @return [Logbook] of everything, the same one as long as nothing has changed
      def self.whole(workroom, settled) =
        Memory.whole(self, workroom.id, [workroom.logbook.versions, settled.state]) { of(workroom, settled) }

      # @param workroom [Store::Workroom]
      # @param settled [Store::House::Record]
      # @param jobs [Array<Store::Records::Job>]
      # @return [Logbook]
      # @param only [Integer, nil] the one treatment that is looked at
      def self.of(workroom, settled, jobs = workroom.logbook.jobs, only: nil)
        cloths, ids = workroom.cloths.all, only ? [only] : jobs.flat_map { |job| job.treatments.map(&:id) }
        new(
          jobs.map { |job| Job.new(job, cloths, settled).sound },
          workroom.logbook.entries(ids),
          workroom.logbook.notes(ids),
          workroom.logbook.batches(ids),
          settled.rules
        )
      end

      # @return [Array<Logged>] of which anything was said or noted
      #
      #   logbook.works.map { |one| one.entry.title } # => ["office"]
      def works
        @works ||= @sheets.flat_map do |sheet|
          sheet
            .works
            .select { |entry| entry.reckoning && (@said.key?(entry.id) || @notes.key?(entry.id)) }
            .map { |entry| work(sheet, entry) }
        end
      end

      # @return [Logged, nil] one piece of work, though nothing was said of it yet
      #
      #   logbook.of(1).entry.title # => "office"
      def of(treatment_id)
        @sheets.each do |sheet|
          (entry = sheet.works.find { |one| one.id == treatment_id && one.reckoning }) && (return work(sheet, entry))
        end
        nil
      end

      # @return [Array<KindOfStep>] in the order of how much time they took
      def kinds
        works
          .flat_map { |one| one.timed.map { |time| [time.step.code, one, time] } }
          .group_by(&:first)
          .map do |code, rows|
            KindOfStep.new(
              code: code,
              planned: rows.sum(0r) { |row| row[2].planned },
              real: rows.sum(0r) { |row| row[2].real },
              works: rows.map { |row| row[1].entry.id }.uniq.size
            )
          end
          .sort_by { |kind| [-kind.real, kind.code] }
      end

      # @return [Array<Reckoning::MakingUp::Learning::Learnt>] that differ from the standards by more than a twentieth
      def learnt = once(:learnt) { learn }

      private

      def learn
        timed = works.flat_map do |one|
          one.timed.map do |time|
            M::Learning::Timed.new(
              job: one.sheet.job.id,
              times: time.step.times,
              planned: time.planned,
              real: time.real
            )
          end
        end
        M::Learning.of(timed, @house.times).reject { |one| (one.ratio - 1).abs < 1/20r }
      end

      def work(sheet, entry)
        log = BenchLog.new(@said.fetch(entry.id, []))
        times = entry.steps.map { |step| time(log, step) }
        drops =
          DROPS
            .flat_map { |code| log.as_made(code) }
            .map { |reading| [reading.curtain, reading.place, reading.typed] }
        Logged.new(
          sheet: sheet,
          entry: entry,
          times: times,
          drops: drops,
          batches: @batches.fetch(entry.id, []),
          notes: @notes.fetch(entry.id, [])
        )
      end

      def time(log, step)
        spent = log.timed?(step) ? log.spent(step) : nil
        Timing.new(
          step: step,
          planned: step.minutes,
          real: (spent && spent.since.nil?) ? spent.minutes : nil,
          corrected: log.corrected?(step),
          forgotten: spent ? spent.forgotten : false
        )
      end
    end
  end
end
