# frozen_string_literal: true

module EarnestFold
  module Work
    # What was said of a treatment's steps, step by step: whether each is done, what was measured there, how long it
    # took.
    class BenchLog
      R = Reckoning
      # A clock that ran longer than so many times the usual was forgotten: then the usual counts.
      FORGOTTEN = 3
      LEAST_MINUTES = 20
      # Something measured: as typed, the length, who and when.
      Reading = R::Value.define(:typed, :length, :place, :by, :at)
      # Minutes on the clock, whether some were put in for a clock that was forgotten, and since when it runs (nil: it
      # doesn't).
      Spent = R::Value.define(:minutes, :forgotten, :since)

      # @param entries [Array<Store::Bench::Entry>]
      def initialize(entries)
        @of = entries.group_by { |entry| [entry.step, entry.curtain] }
      end

      # @param step [Reckoning::MakingUp::Step]
      def done?(step) = of(step).reverse.find { |entry| %w[done undone].include?(entry.kind) }&.kind == "done"

      # @return [Array<Reading>] the first first
      def readings(step)
        of(step)
          .select { |entry| entry.kind == "measured" }
          .map do |entry|
            Reading.new(
              typed: entry.value,
              length: R::LengthReader.read(entry.value, R::Units::MM),
              place: entry.place,
              by: entry.by,
              at: entry.at
            )
          end
      end

      # @return [Spent]
      def spent(step)
        usual, minutes, forgotten, since = [step.minutes, LEAST_MINUTES].max, 0r, false, nil
        of(step).each do |entry|
          case entry.kind
          when "started" then since ||= entry.at
          when "stopped", "done"
            ran = since ? Rational((entry.at - since).to_i, 60) : 0r
            forgotten ||= ran > usual * FORGOTTEN
            minutes += (ran > usual * FORGOTTEN) ? step.minutes : ran
            since = nil
          when "corrected" then minutes, forgotten, since = Rational(entry.value), false, nil
          end
        end
        Spent.new(minutes: minutes, forgotten: forgotten, since: since)
      end

      # @return [Boolean] whether its time was put right by hand
      def corrected?(step) = of(step).any? { |entry| entry.kind == "corrected" }

      # @return [Boolean] whether anybody ever started its clock, or put its time right
      def timed?(step) = of(step).any? { |entry| %w[started corrected].include?(entry.kind) }

      # @param code [String] of a caution
      # @return [Store::Bench::Entry, nil] when it was seen to last
      def seen_to(code) = @of.fetch(["#{Store::Bench::CAUTION}#{code}", ""], []).last

      private

      def of(step) = @of.fetch([step.code, step.curtain.to_s], [])
    end
  end
end
