# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The logbook: what the standard times have been in truth, planned and real by kind of step, and the work it
      # stands on.
      class Logbook
        attr_reader :record

        # @param log [Work::Logbook]
        # @param record [Store::House::Record]
        def initialize(log, record, notice: nil)
          @log, @record, @notice = log, record, notice
        end

        def page_title = Words.say("logbook.title")

        def notice = @notice && Words.say("notices.#{@notice}")

        MOST = 60

        # @return [Array<Work::Logbook::Work>] the last worked on; all of it goes out as CSV and JSON
        def works = @log.works.first(MOST)

        # @yieldreturn [String]
        def shown(part, &block) = Fragments.of(@log, part, &block)

        def kinds = @log.kinds

        # @return [Array<Reckoning::MakingUp::Learning::Learnt>] but those that were declined on as many jobs
        def learnt =
          @log.learnt.reject { |one| record.stored.fetch("declined", {}).fetch(one.name.to_s, 0) >= one.jobs }

        def name(learnt) = Words.say("books.times.#{learnt.name}")

        def title(kind) = Words.say("work_steps.#{kind.code}.title")

        def path(work) = Paths.work(work.sheet.job.id, work.entry.id, "log")

        # @return [String] "12 % more"
        def apart(planned, real)
          return Words.say("logbook.none") if planned.zero?

          share = ((real / planned - 1) * 100).round
          if share.zero?
            Words.say("logbook.as_planned")
          else
            Words.say(share.positive? ? "logbook.more" : "logbook.less", percent: share.abs)
          end
        end
      end
    end
  end
end
