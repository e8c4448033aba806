# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Making station: the order of work with its figures, what was done and measured.
      class Making < Desk
        STATION = "making"
        SHARED = %i[hem_depth finished_drop tolerance].freeze

        # @param log [BenchLog]
        def initialize(sheet, entry, log: BenchLog.new([]), **shown)
          super(sheet, entry, **shown)
          @log = log
        end

        # @return [Array<Reckoning::Work::Step>]
        def steps = reckoning ? entry.steps : []

        def done?(step) = @log.done?(step)

        def done = steps.count { |step| done?(step) }

        # @return [Array<BenchLog::Reading>]
        def readings(step) = @log.readings(step)

        # @return [String] "3 h 20 min" in all
        def in_all = steps.sum(&:minutes).round.divmod(60).then { |hours, minutes| Words.say("making.in_all", hours: hours, minutes: minutes) }

        def title(step) = Words.say("work_steps.#{step.code}.title")

        def curtain_of(step) = step.curtain ? Words.hand(step.curtain) : nil

        # @return [String] what is to be done, with the real figures
        def does(step) = Words.say("work_steps.#{step.code}.do", unit: unit, **step.figures)

        # @return [Array<Reckoning::Remark>] what an experienced maker says at this step
        def said(step) = remarks_by_step.fetch(step.code, [])

        # Remarks stand at their steps here.
        def remarks = []

        def bench_path(step = nil) = "#{path("bench")}#{"?step=#{step.number}" if step}"

        private

        def remarks_by_step
          @remarks_by_step ||= said_here.reject { |remark| remark.manner == :ask }.group_by(&:step)
        end
      end
    end
  end
end
