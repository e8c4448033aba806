# frozen_string_literal: true

require "que"

module EarnestFold
  module Background
    # One errand, as the queue hands it out. It is worked on in a process of its own, so that one that takes too long
    # or too much, or that nobody wants any more, is ended without harm.
    class Turn < Que::Job
      # Seconds; bytes of its own; and how often one looks whether it is still wanted.
      LONGEST, LARGEST, LOOKS = 180, 600 * 1024 * 1024, 0.1
      # How others go first.
      NICE = 10
      STATUSES = {3 => "too_large", 4 => "gone", 5 => "fault"}.freeze

      # @param workroom [Integer]
      # @param id [Integer] of the errand
      def run(workroom, id)
        errands = Store::Workroom.new(workroom).errands
        errand = errands.begin(id) or return
        ends, held = IO.pipe
        why = watched(errands, id, fork { apart(errand, workroom, ends, held) })
        errands.failed(id, why) if why
      ensure
        [ends, held].compact.each(&:close)
      end

      private

      # @return [String, nil] why it wasn't done
      def watched(errands, id, pid)
        ends = now + LONGEST
        loop do
          return ended($?) if Process.wait(pid, Process::WNOHANG)

          late = now > ends
          next sleep(LOOKS) if !late && errands.wanted?(id)

          Process.kill(:KILL, pid)
          Process.wait(pid)
          return late ? "too_long" : nil
        end
      end

      def ended(status) = status.success? ? nil : STATUSES.fetch(status.exitstatus, "killed")

      # In the new process: with a connection of its own, and bounds. It ends with the one that it was made from.
      def apart(errand, workroom, ends, held)
        held.close
        Thread.new { ends.read.then { exit!(1) } }
        Process.setpriority(Process::PRIO_PROCESS, 0, NICE)
        Process.setrlimit(:DATA, LARGEST)
        Process.setrlimit(:CPU, LONGEST)
        Store.apart { Doing.new(Store::Workroom.new(workroom), errand).call }
        exit!(0)
      rescue NoMemoryError
        exit!(3)
      rescue Store::Missing
        exit!(4)
      rescue => error
        Work::Faults.tell("errand #{errand.id}", error)
        exit!(5)
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end
  end
end
