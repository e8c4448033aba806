# frozen_string_literal: true

module EarnestFold
  module Work
    # What was said of a treatment's steps, step by step: what of each is done, what was measured there, how long it
    # took.
    class BenchLog
      R = Reckoning
      # A clock that ran longer than so many times the usual was forgotten: then the usual counts.
      FORGOTTEN = 3
      LEAST_MINUTES = 20
      # Something measured: of which curtain, as typed, the length, where, who and when.
      Reading = R::Value.define(:curtain, :typed, :length, :place, :by, :at)
      # Minutes on the clock, whether some were put in for a clock that was forgotten, and since when it runs (nil: it
      # doesn't).
      Spent = R::Value.define(:minutes, :forgotten, :since)

      # @param entries [Array<Store::Bench::Entry>]
      def initialize(entries)
        @of = entries.group_by(&:step)
        @ticks = @of.transform_values { |said| said.group_by(&:curtain) }
      end

      # @param step [Reckoning::MakingUp::Step]
      # @param tick [String] of one curtain, or of one width
      # @return [Boolean]
      #
      #   Work::BenchLog.new([]).ticked?(steps.first, "") # => false
      def ticked?(step, tick)
        said = @ticks.dig(step.code, tick)
        !said.nil? && said.reverse.find { |one| tick?(one) }&.kind == "done"
      end

      # @param step [Reckoning::MakingUp::Step]
      # @return [Boolean] whether anything was said of it
      #
      #   Work::BenchLog.new([]).begun?(steps.first) # => false
      def begun?(step) = @of.key?(step.code)

      # @param step [Reckoning::MakingUp::Step]
      # @return [Boolean] whether all of it is done
      #
      #   Work::BenchLog.new([]).done?(steps.first) # => false
      def done?(step) = begun?(step) && step.ticks.all? { |tick| ticked?(step, tick) }

      # @param step [Reckoning::MakingUp::Step]
      # @return [Array<Reading>] of all its curtains, the first first
      #
      #   Work::BenchLog.new([]).readings(steps.first) # => []
      def readings(step) = readings_of(step.code)

      # @return [Array<Reading>] what was measured of a curtain as it hung
      #
      #   Work::BenchLog.new([]).hung("left") # => []
      def hung(curtain) = readings_of(Store::Bench::HUNG).select { |reading| reading.curtain == curtain }

      # @param code [String] of a step
      # @return [Array<Reading>] the last at each place of each curtain
      #
      #   Work::BenchLog.new([]).as_made("measure_wrap") # => []
      def as_made(code) =
        readings_of(code).group_by { |reading| [reading.curtain, reading.place] }.values.map(&:last)

      # The clock of a step runs until it is stopped or all of the step is done; one that was started for a single
      # curtain, until that curtain is.
      # @param step [Reckoning::MakingUp::Step]
      # @return [Spent]
      #
      #   Work::BenchLog.new([]).spent(steps.first).minutes # => (0/1)
      def spent(step)
        usual, minutes, forgotten, started, done = [step.minutes, LEAST_MINUTES].max, 0r, false, nil, []
        of(step).each do |entry|
          case entry.kind
          when "started" then started ||= entry
          when "corrected" then minutes, forgotten, started = Rational(entry.value), false, nil
          when "undone" then done -= [entry.curtain]
          when "stopped", "done"
            done |= [entry.curtain] if entry.kind == "done"
            next unless started && ends?(entry, started, step, done)

            ran = Rational((entry.at - started.at).to_i, 60)
            forgotten ||= ran > usual * FORGOTTEN
            minutes += (ran > usual * FORGOTTEN) ? step.minutes : ran
            started = nil
          end
        end
        Spent.new(minutes: minutes, forgotten: forgotten, since: started&.at)
      end

      # @return [Boolean] whether its time was put right by hand
      #
      #   Work::BenchLog.new([]).corrected?(steps.first) # => false
      def corrected?(step) = of(step).any? { |entry| entry.kind == "corrected" }

      # @return [Boolean] whether anybody ever started its clock, or put its time right
      #
      #   Work::BenchLog.new([]).timed?(steps.first) # => false
      def timed?(step) = of(step).any? { |entry| %w[started corrected].include?(entry.kind) }

      # @param code [String] of a caution
      # @return [Store::Bench::Entry, nil] when it was seen to last
      #
      #   Work::BenchLog.new([]).seen_to("yardstick") # => nil
      def seen_to(code) = @ticks.dig("#{Store::Bench::CAUTION}#{code}", "")&.last

      private

      def of(step) = @of.fetch(step.code, [])

      def readings_of(code)
        @of
          .fetch(code, [])
          .select { |entry| entry.kind == "measured" }
          .map do |entry|
            Reading.new(
              curtain: entry.curtain,
              typed: entry.value,
              length: R::LengthReader.read(entry.value, R::Units::MM),
              place: entry.place,
              by: entry.by,
              at: entry.at
            )
          end
      end

      def tick?(entry) = %w[done undone].include?(entry.kind)

      def ends?(entry, started, step, done) =
        entry.kind == "stopped" || (step.ticks - done).empty? ||
          (!entry.curtain.empty? && started.curtain == entry.curtain)
    end
  end
end
