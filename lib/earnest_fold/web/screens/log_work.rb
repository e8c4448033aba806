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

        def title(time) = Words.step(time.step)

        # @return [Array<String>]
        def drops =
          work.drops.map do |curtain, place, typed|
            where = [*(Words.hand(curtain) unless curtain.empty?), *(Words.say("edges.#{place}") unless place.empty?)]
            "#{where.join(", ")}: #{typed}"
          end
      end
    end
  end
end
