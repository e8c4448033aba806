# frozen_string_literal: true

module EarnestFold
  module Work
    # The diary made from the jobs that are in it: the steps that are left of each piece of work, in stretches on one
    # bench, and the hanging at the end; laid from this moment on.
    class Diary
      include RemembersItself

      D = Reckoning::Diary
      HANGING = "hanging"
      QUARTER = 900
      # What a task is about: its job, its work, the steps it holds (none: hanging), and the day on which what it
      # waits for is there (nil: it waits for nothing).
      About = Reckoning::Value.define(:sheet, :entry, :steps, :awaited) do
        # @return [String] of which work it is; hanging is the whole job's
        #
        #   diary.about(diary.laid.first.task.key).whose # => "office, Sluice House"
        def whose = hanging? ? sheet.job.title : "#{entry.title}, #{sheet.job.title}"

        # @return [Boolean] whether it is a visit, and not work at the bench
        #
        #   diary.about(diary.laid.first.task.key).hanging? # => false
        def hanging? = steps.empty?
      end
      # A job's dates as they are kept.
      DATES = %w[promised cloth parts].freeze

      attr_reader :sheets, :rules, :now

      # @param sheets [Array<Job>] of the jobs that are in it
      # @param done [Array<Store::Diary::Done>]
      # @param moves [Array<Store::Diary::Move>]
      # @param house [Reckoning::HouseRules]
      # @param now [Time]
      def initialize(sheets, done, moves, house, now)
        @sheets, @house, @rules = sheets, house, house.diary
        @done = done.map { |one| [one.treatment_id, one.step, one.curtain] }.to_set
        @moves = moves.to_h { |move| [[move.treatment_id, move.block], move] }
        @now = zone.to_local(now)
        @about, @short = {}, {}
        @jobs = sheets.map { |sheet| job(sheet) }.reject { |job| job.tasks.empty? }
      end

      # @param workroom [Store::Workroom]
      # @param house [Store::House::Record]
      # @param now [Time]
      # @return [Diary] the same one as long as nothing has changed, and a quarter of an hour isn't over
      def self.of(workroom, house, now)
        Memory.whole(self, workroom.id, [workroom.diary.versions, house.state, now.to_i / QUARTER]) do
          jobs, cloths = workroom.diary.jobs, workroom.cloths.all
          new(
            jobs.map { |job| Job.new(job, cloths, house).sound },
            workroom.diary.done(jobs.flat_map { |job| job.treatments.map(&:id) }),
            workroom.diary.moves,
            house.rules,
            Time.at(now.to_i / QUARTER * QUARTER)
          )
        end
      end

      # @return [Reckoning::Diary::Plan]
      #
      #   diary.plan.placed.size # => 35
      def plan = @plan ||= D::Plan.new(@jobs, rules, now.to_date, now: minutes_over)

      # @param hanging [Boolean] what is hung alone
      # @return [Array<Reckoning::Diary::Laid>]
      #
      #   diary.laid(hanging: true).size # => 1
      def laid(hanging: false) = hanging ? plan.placed.select { |one| about(one.task.key).hanging? } : plan.placed

      # @param key [String] of a task
      # @return [About]
      #
      #   diary.about(diary.laid.first.task.key).entry.title # => "office"
      def about(key) = @about.fetch(key)

      # @param job_id [Integer]
      # @return [Array<Reckoning::Hardware>] the small parts that its hanging is short of
      def short(job_id) = @short.fetch(job_id, [])

      # @param job [Store::Records::Job]
      # @return [Boolean] whether its hanging is held: a part is wanting, and nobody has said when it comes
      #
      #   diary.held?(job_kept([])) # => false
      def held?(job) = short(job.id).any? && Diary.date(job, "parts").nil?

      # @return [Store::Diary::Move, nil]
      def move(key) = @moves[place(key)]

      # @return [Boolean]
      #
      #   diary.task?("1~nothing") # => false
      def task?(key) = @about.key?(key)

      # @param key [String]
      # @return [Array(Integer, String)] the treatment's id and the block, as a move is kept
      #
      #   diary.place("12~making") # => [12, "making"]
      def place(key) = key.split("~", 2).then { |id, block| [Integer(id, 10), block] }

      # @param minute [Integer] of work
      # @return [Time] where it begins, in the workroom's zone
      #
      #   diary.time(0).to_s # => "2026-03-02 08:30:00 +0000"
      def time(minute) = at(plan.calendar.date(minute), plan.calendar.of_day(minute))

      # @param placed [Reckoning::Diary::Laid]
      # @return [Array<Array(Date, Integer, Integer)>] the days it lies on, with minutes of the working day
      #
      #   diary.days(diary.laid.first).size # => 1
      def days(placed)
        length = plan.calendar.length
        (placed.from.div(length)..[placed.to - 1, placed.from].max.div(length)).map do |number|
          morning = number * length
          [plan.calendar.date(morning), [placed.from - morning, 0].max, [placed.to - morning, length].min]
        end
      end

      # @param date [Date]
      # @param minute [Integer] of its working day
      # @return [Time] by the clock on the wall; of an hour that comes twice the first, of one that is left out the next
      #
      #   diary.at(Date.new(2026, 3, 3), 540).to_s # => "2026-03-03 17:30:00 +0000"
      def at(date, minute)
        wall = Time.utc(date.year, date.month, date.day) + (rules.day_begins + minute) * 60
        zone.local_to_utc(wall) { |periods| periods.first }.then { |utc| zone.to_local(utc) }
      rescue TZInfo::PeriodNotFound
        zone.to_local(zone.local_to_utc(wall + 3600))
      end

      # @param at [Time]
      # @return [Time] the same moment in the workroom's zone
      #
      #   diary.local(Time.utc(2026, 3, 2, 7)).to_s # => "2026-03-02 07:00:00 +0000"
      def local(at) = zone.to_local(at)

      # @return [Date, nil] a date that a job has
      #
      #   Work::Diary.date(job_kept([]), "promised").to_s # => "2026-03-20"
      def self.date(job, name) = (text = job.dates[name]) && Date.iso8601(text)

      private

      def zone = @zone ||= TZInfo::Timezone.get(rules.zone)

      # How much of today is over, in whole quarters of an hour.
      def minutes_over
        return 0 unless rules.weekdays.include?(now.to_date.cwday)

        (now.hour * 60 + now.min - rules.day_begins).clamp(0, rules.day_minutes) / 15 * 15
      end

      def job(sheet)
        works = sheet.works.select(&:reckoning)
        tasks = works.flat_map { |entry| tasks_of(sheet, entry) }
        D::JobOfDiary.new(
          id: sheet.job.id,
          promised: Diary.date(sheet.job, "promised"),
          tasks: tasks + hanging(sheet, works, tasks)
        )
      end

      def tasks_of(sheet, entry)
        before = nil
        entry.steps.chunk_while { |one, other| one.bench == other.bench }.filter_map do |steps|
          left = steps.reject { |step| share_left(entry, step).zero? }
          next if left.empty?

          key = "#{entry.id}~#{steps.first.code}:"
          cloth = before.nil? ? cloth_there(sheet, entry) : nil
          @about[key] = About.new(sheet: sheet, entry: entry, steps: left, awaited: cloth)
          task(
            key,
            steps.first.code,
            steps.first.bench,
            left.sum { |step| step.minutes * share_left(entry, step) }.ceil,
            needs: [before].compact,
            not_before: cloth,
            waits_for: :cloth
          ).tap do
            before = key
          end
        end
      end

      # @return [Rational] how much of a step is still to be done: one curtain of two may be
      def share_left(entry, step)
        left = step.names.count { |name| !@done.include?([entry.id, *name]) }
        Rational(left, step.names.size)
      end

      # When cloth that is awaited has come, and relaxed where it is heavy or loose; what came with its cloth waits for
      # none.
      def cloth_there(sheet, entry)
        come = Diary.date(sheet.job, "cloth") if entry.cloth_name
        (come && entry.cloth_relaxes?) ? come + rules.relax_days : come
      end

      # Hanging waits for all work, for folds that set, and for the smallest part: as long as nobody knows when that
      # comes, it is held.
      def hanging(sheet, works, tasks)
        to_hang = sheet.entries.select { |entry| entry.reckoning && !hung?(entry) }
        return [] if sheet.job.invoiced || to_hang.empty?

        first = works.first
        key = "#{first.id}~#{HANGING}"
        @short[sheet.job.id] = sheet.hardware_short
        return [] if held?(sheet.job)

        parts = Diary.date(sheet.job, "parts")
        @about[key] = About.new(sheet: sheet, entry: first, steps: [], awaited: parts)
        windows = to_hang.map { |entry| entry.window.id }.uniq.size
        [
          task(
            key,
            HANGING,
            :away,
            (@house.times.hang * windows).ceil,
            needs: tasks.map(&:key),
            days_after: (to_hang.any? { |entry| entry.reckoning.treatment.heading.dressed? }) ? rules.setting_days : 0,
            not_before: parts,
            waits_for: :parts
          )
        ]
      end

      def hung?(entry) = @done.include?([entry.id, Store::Bench::HUNG, ""])

      # Where somebody moved it, it isn't before that; nor before what it waits for.
      def task(key, code, bench, minutes, needs:, not_before:, waits_for:, days_after: 0)
        moved = move(key)
        later = moved && (not_before.nil? || moved.day >= not_before)
        D::Task.new(
          key: key,
          work: place(key).first,
          code: code,
          bench: bench,
          minutes: minutes,
          needs: needs,
          days_after: days_after,
          not_before: later ? moved.day : not_before,
          at_minute: later ? moved.at_minute : 0,
          waits_for: later ? :moved : waits_for
        )
      end
    end
  end
end
