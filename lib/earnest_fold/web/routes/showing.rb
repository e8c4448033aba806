# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # How a station is shown: with what its screen asks for besides the job and the work.
      module Showing
        # What there is to be asked for, by the name under which a screen takes it.
        BESIDES = {
          log: ->(workroom, job, entry, _) { Work::BenchLog.new(workroom.bench.entries(entry.id, state: job.said)) },
          room: ->(workroom, job, *) { workroom.bench.readings(job.job.id, state: job.said) },
          # What was learnt last of other work with the same cloth.
          last_time: lambda { |workroom, _, entry, _|
            entry.record.spec["face"] && workroom.logbook.last_with(entry.record.spec["face"], except: entry.id)
          },
          notes: ->(workroom, _, entry, _) { workroom.came_in.notes(entry.id) },
          cutting: ->(workroom, job, _, patience) { Work::Cutting.of(job, workroom, patience: patience) }
        }.freeze
        private_constant :BESIDES

        private

        # @return [Reckoning::Unit] the one that the page is shown in
        def unit_shown(job) = Reckoning::Units::ALL.key?(params["unit"]) ? job.house.unit(params["unit"]) : job.unit

        # @param screen [Class]
        # @return [Screens::Desk]
        def shown(screen, job, entry, **more)
          besides = screen.asks.to_h { |name| [name, BESIDES.fetch(name).call(workroom, job, entry, patience)] }
          screen.new(job, entry, log: job.cautions(entry), **besides, **more)
        end
      end
    end
  end
end
