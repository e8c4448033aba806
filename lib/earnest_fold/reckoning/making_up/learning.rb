# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What the house's standard times have been in truth. Each step that was timed says how far its standards were
      # off; the median of a job counts once, and the median of the jobs is what is learnt: one bad day moves nothing.
      module Learning
        # A step that was timed: of which job, how much of which standards it took ({Step#times}), and the minutes.
        Timed = Value.define(:job, :times, :planned, :real)
        # What was learnt of one standard: as it is now, as it has been, and on how many jobs that stands.
        Learnt = Value.define(:name, :now, :learnt, :jobs) do
          # @return [Rational] how far off, as a ratio
          #
          #   MakingUp::Learning::Learnt.new(name: :cut, now: 4r, learnt: 5r, jobs: 3).ratio # => (5/4)
          def ratio = learnt / now
        end
        # On fewer jobs nothing is learnt.
        FEWEST = 3

        module_function

        # @param timed [Array<Timed>]
        # @param times [StandardTimes] as they are now
        # @return [Array<Learnt>] in the order of the standards
        #
        #   MakingUp::Learning.of([], house.times) # => []
        def of(timed, times)
          StandardTimes.members.filter_map do |name|
            by_job = timed.select { |one| one.times.key?(name) && one.planned.positive? }.group_by(&:job)
            next if by_job.size < FEWEST

            now = times.public_send(name)
            Learnt.new(
              name: name,
              now: now,
              learnt: now * median(by_job.values.map { |steps| median(steps.map { |step| step.real / step.planned }) }),
              jobs: by_job.size
            )
          end
        end

        # @param numbers [Array<Rational>] at least one
        # @return [Rational] the middle one, or halfway between the two
        #
        #   MakingUp::Learning.median([3r, 1r, 9r])  # => (3/1)
        def median(numbers)
          sorted = numbers.sort
          middle = sorted.size / 2
          sorted.size.odd? ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2
        end
      end
    end
  end
end
