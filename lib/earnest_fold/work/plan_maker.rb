# frozen_string_literal: true

require "timeout"

module EarnestFold
  module Work
    # Has plans made: at once where that is soon done, else by the queue, under what they are made from. A plan that is
    # kept is never made twice.
    class PlanMaker
      R = Reckoning
      C = R::Cutting
      # Changes when the same pieces and cuts would be planned otherwise.
      VERSION = 1
      # In seconds: what is made sooner is no news to the store; and so long the rule of thumb has at least.
      QUICK, LEAST = 0.1, 0.2

      # A plan as far as it is there (nil: not at all), and who works on it (nil: it is the one).
      Got = R::Value.define(:plan, :errand)
      NOTHING = Got.new(plan: nil, errand: nil)

      # A plan that nobody keeps: the rule of thumb's, and where that leaves something uncut, a better one if it is soon
      # there.
      # @param planner [Reckoning::Cutting::Planner]
      # @param seconds [Numeric]
      # @return [Reckoning::Cutting::Plan]
      #
      #   Work::PlanMaker.soon_enough(Cutting::Planner.new(rolled, cuts), 1).length_used # => 11928 mm
      def self.soon_enough(planner, seconds)
        thumb = planner.soonest
        thumb.uncut.empty? ? thumb : Timeout.timeout(seconds) { planner.plan }
      rescue Timeout::Error
        thumb
      end

      # @param kept [Store::Workroom]
      # @param job_id [Integer]
      # @param patience [Numeric, nil] seconds, for all cloths together, until it is left to the queue; nil: it takes as
      #   long as it takes
      def initialize(kept, job_id, patience: nil)
        @kept, @job_id, @patience, @spent = kept, job_id, patience, 0
      end

      # @param stock [Reckoning::Cloth] with its pieces
      # @param cuts [Array<Reckoning::Cutting::Cut>]
      # @param wishes [Reckoning::Cutting::Wishes]
      # @return [Got]
      def plan(stock, cuts, wishes)
        planner, written = C::Planner.new(stock, cuts, wishes), WrittenPlan.new(stock, cuts)
        mark = Fingerprint.of([VERSION, stock, cuts, wishes])
        found = quick(planner) || kept(mark, written) || at_once(planner, mark, written)
        found ? Got.new(plan: found, errand: nil) : by_others(planner, mark, stock)
      end

      private

      def kept(mark, written) = @kept.kept_plans.find(mark)&.then { |plan| written.read(plan) }

      # Each cloth has this chance, however long another one took.
      def quick(planner) = (@patience.nil? || @patience.zero?) ? nil : soon(QUICK) { planner.plan }

      # @return [Numeric] seconds that are left of the patience
      def left = [@patience - @spent, 0].max

      # @return [Cutting::Plan, nil] nil where it doesn't come in time, or somebody is at it already
      def at_once(planner, mark, written)
        return if @patience && (left.zero? || @kept.errands.latest(Store::Errands::PLAN, mark))

        soon(@patience && left) { planner.plan }&.tap { |plan| @kept.kept_plans.keep(mark, written.written(plan)) }
      end

      # Nothing is left half done: a plan is made of values alone.
      def soon(seconds, &block)
        began = now
        Timeout.timeout(seconds, &block)
      rescue Timeout::Error
        nil
      ensure
        @spent += now - began
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

      # What was stopped or failed isn't asked for again by itself.
      def by_others(planner, mark, stock)
        errands = @kept.errands
        known = errands.latest(Store::Errands::PLAN, mark)
        errand = (known && !known.done?) ? known : errands.ask(Store::Errands::PLAN, about(stock), mark)
        Got.new(plan: soonest(planner), errand: errand)
      end

      def about(stock) = {"job" => @job_id, "cloth" => Integer(stock.id, 10), "name" => stock.name}

      def soonest(planner) = @patience.zero? ? planner.soonest : soon([left, LEAST].max) { planner.soonest }
    end
  end
end
