# frozen_string_literal: true

module EarnestFold
  module Store
    # What is said at the bench of a treatment's steps. Nothing is overwritten.
    class Bench
      KINDS = %w[done undone measured started stopped corrected].freeze
      MOST_ENTRIES = 2000
      # A caution that was seen to stands under its code behind this.
      CAUTION = "caution:"
      # Under this stands what is said when it hangs: that it does, and what was measured then.
      HUNG = "hung"
      # How far a job has come: the names (code and curtain) of the steps that are done by treatment, which treatments
      # hang, the cautions seen to by treatment, and in which state all is that was said in the job (nil: not asked).
      Progress = Reckoning::Value.define(:done, :hung, :cautions, :state)
      NOTHING = Progress.new(done: {}, hung: [], cautions: {}, state: nil)
      # One thing said: of which step (its code and its curtain, "" for all), what, the value as typed where one was
      # measured.
      Entry = Reckoning::Value.define(:id, :step, :curtain, :kind, :value, :place, :by, :at)

      # Of as many jobs, and treatments, as are at work.
      COME, SAID = Remembered.new(200), Remembered.new(600)
      private_constant :COME, :SAID

      def initialize(workroom)
        @workroom = workroom
      end

      # @param treatment_id [Integer]
      # @param state [String, nil] in which what was said in its job is ({Progress}): in one state it is read once
      # @return [Array<Entry>] in the order in which they were said, the last MOST_ENTRIES
      def entries(treatment_id, state: nil) =
        once(state, :entries, treatment_id) do
          Store
            .prepared(:bench_entries, workroom: @workroom.id, treatment: treatment_id) do
              Store.db[:bench_entries]
                .where(workroom_id: :$workroom, treatment_id: :$treatment)
                .order(Sequel.desc(:id))
                .limit(MOST_ENTRIES)
            end
            .reverse
            .map { |row| entry(row) }
        end

      # @param job_id [Integer]
      # @param state [String, nil] as {#entries} takes it
      # @return [Hash{Integer => Array<Entry>}] what was said of the time of each treatment's steps, in its order
      def clocks(job_id, state: nil) =
        once(state, :clocks, job_id) do
          rows = Store.prepared(:clocks, workroom: @workroom.id, job: job_id) { clocks_of(:$workroom, :$job) }
          said(rows)
        end

      # @param job_id [Integer]
      # @return [Progress]
      def progress(job_id)
        Store.guard do
          rows =
            Store.prepared(:said_last, workroom: @workroom.id, job: job_id) do
              last(%w[done undone], :$workroom, :$job).select_all(:bench_entries)
            end
          come(rows)
        end
      end

      # Nothing said is ever changed.
      # @param workroom [Integer, Symbol] its id, or where that is to be given; the same for the job
      # @return [Sequel::Dataset] one text: in which state all is that was said in the job. Its works are looked for
      #   first: whoever begins at what was said looks through all that was ever said in the house.
      def self.state(workroom, job)
        works = Store.db[:windows].where(Sequel[:windows][:workroom_id] => workroom, :job_id => job)
          .join(:treatments, workroom_id: Sequel[:windows][:workroom_id], window_id: Sequel[:windows][:id])
          .select(Sequel[:treatments][:id])
        Store.db[:bench_entries]
          .where(workroom_id: workroom)
          .where(Versions.among(:treatment_id, works))
          .select { concat_ws(".", count.function.*, max(:id), sum(:id)).as(:state) }
      end

      # @param state [String] as {state} gives it
      # @return [Progress] the same as {#progress}, read once while nothing is said
      def progress_in_state(job_id, state) =
        COME.fetch([@workroom.id, job_id, state]) { progress(job_id).with(state: state) }

      # @param job_ids [Array<Integer>]
      # @return [Hash{Integer => Progress}] of each job of which anything was said
      def progress_of(job_ids) =
        Store.guard do
          last(%w[done undone], @workroom.id, job_ids)
            .select_all(:bench_entries)
            .select_append(Sequel[:windows][:job_id])
            .all
            .group_by { |row| row[:job_id] }
            .transform_values { |rows| come(rows) }
        end

      # @param job_id [Integer]
      # @param state [String, nil] as {#entries} takes it
      # @return [Array<Array(Integer, Entry)>] what was measured last at each step of each treatment: its id, and the
      #   entry
      def readings(job_id, state: nil) =
        once(state, :readings, job_id) do
          Store
            .prepared(:last_readings, workroom: @workroom.id, job: job_id) do
              last(%w[measured], :$workroom, :$job).select_all(:bench_entries)
            end
            .map { |row| [row[:treatment_id], entry(row)] }
        end

      # @param since [Time] clocks started before were forgotten
      # @return [Array<Array(Integer, Entry)>] this person's clocks that run: the treatment, and when it was started
      def running(since)
        Store.guard do
          @workroom
            .rows(:bench_entries)
            .where(by: @workroom.by, kind: %w[started stopped done corrected])
            .where { at > since }
            .distinct(:treatment_id, :step, :curtain)
            .order(:treatment_id, :step, :curtain, Sequel.desc(:id))
            .all
            .select { |row| row[:kind] == "started" }
            .map { |row| [row[:treatment_id], entry(row)] }
        end
      end

      # @param kind [String] one of KINDS
      # @param value [String, nil] as typed, with its unit
      # @param place [String] the edge at which it was measured, where it matters
      # @raise [Missing]
      def say(treatment_id, step, curtain, kind, value: nil, place: "")
        @workroom.insert(
          :bench_entries,
          treatment_id: treatment_id,
          step: step,
          curtain: curtain,
          kind: kind,
          value: value,
          place: place,
          by: @workroom.by
        )
      end

      # @api private
      def self.of_job(kinds, workroom, jobs) =
        Store.db[:bench_entries]
          .where(Sequel[:bench_entries][:workroom_id] => workroom, :kind => kinds)
          .join(
            :treatments,
            workroom_id: Sequel[:bench_entries][:workroom_id],
            id: Sequel[:bench_entries][:treatment_id]
          )
          .join(:windows, workroom_id: Sequel[:treatments][:workroom_id], id: Sequel[:treatments][:window_id])
          .where(Sequel[:windows][:job_id] => jobs)

      private

      def once(state, *name, &asked)
        return Store.guard(&asked) unless state

        SAID.fetch([@workroom.id, state, *name]) { Store.guard(&asked).freeze }
      end

      def entry(row) = Entry.new(**row.slice(*Entry.members))

      def clocks_of(workroom, job) =
        Bench.of_job(%w[started stopped done undone corrected], workroom, job)
          .exclude(step: HUNG)
          .order(Sequel[:bench_entries][:id])
          .limit(MOST_ENTRIES * 10)
          .select_all(:bench_entries)

      def come(rows)
        cautions, work = rows.select { |row| row[:kind] == "done" }.partition { |row| row[:step].start_with?(CAUTION) }
        hung, steps = work.partition { |row| row[:step] == HUNG }
        hanging = hung.map { |row| row[:treatment_id] }
        Progress.new(done: names(steps), hung: hanging, cautions: said(cautions), state: nil)
      end

      def names(rows) =
        rows.group_by { |row| row[:treatment_id] }
          .transform_values { |own| own.map { |row| row.values_at(:step, :curtain) }.uniq.sort }

      def said(rows) =
        rows.group_by { |row| row[:treatment_id] }
          .transform_values { |own| own.map { |row| entry(row) } }

      # The last that was said of each step, of some kinds, in one job or several.
      def last(kinds, workroom, jobs)
        Bench.of_job(kinds, workroom, jobs)
          .distinct(Sequel[:bench_entries][:treatment_id], :step, :curtain, :place)
          .order(
            Sequel[:bench_entries][:treatment_id],
            :step,
            :curtain,
            :place,
            Sequel.desc(Sequel[:bench_entries][:id])
          )
      end
    end
  end
end
