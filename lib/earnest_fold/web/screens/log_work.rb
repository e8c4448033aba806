# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One piece of work in the logbook: its times, to be put right by hand, its drops as made, and what to do next
      # time.
      class LogWork
        attr_reader :work, :problem, :typed

        # @param work [Work::Logbook::Work]
        # @param problem [Symbol, nil]
        def initialize(work, problem: nil, typed: {})
          @work, @problem, @typed = work, problem && Words.say("form_problems.#{problem}"), typed
        end

        def sheet = work.sheet

        def job = sheet.job

        def unit = sheet.unit

        def page_title = Words.say("logbook.of", title: work.entry.title)

        def path(to = "log") = Paths.work(job.id, work.entry.id, to)

        def title(time) =
          [Words.say("work_steps.#{time.step.code}.title"), *(Words.hand(time.step.curtain) if time.step.curtain)].join(
            ", "
          )

        # @return [Array<String>]
        def drops =
          work.drops.map do |curtain, place, typed|
            [*(Words.hand(curtain) if curtain), *(Words.say("edges.#{place}") unless place.empty?)].join(", ") +
              ": #{typed}"
          end
      end
    end
  end
end
