# frozen_string_literal: true

module EarnestFold
  module Work
    # What was made lately, all in one place: each thing under the state of everything that it was made from. What
    # changed has another state, so nothing old is ever taken from here; losing it loses only time. Each process has
    # its own. Nobody puts a key together: see {Remembers}.
    module Memory
      # Of a work that is looked at some twenty things are kept: its figures take some tens of kilobytes, its order of
      # work and its drawings a few, most else next to nothing. Twenty open jobs of twenty-five windows make 9,400
      # things of 2,200 states, and half of the most is sure to be there: with fewer, whoever goes round them all finds
      # none.
      MOST = 20_000
      MOST_STATES = 6_000
      # Three things are made of a whole workroom, each kept once: of so many, then, a third.
      MOST_WHOLE = 60
      MADE = Store::Remembered.new(MOST)
      STATES = Store::Remembered.new(MOST_STATES)
      WHOLE = Store::Remembered.new(MOST_WHOLE)
      # Twenty are open at once.
      MOST_JOBS = 40
      JOBS = Store::Remembered.new(MOST_JOBS)
      # Of as many cloths as pieces are looked at.
      OF_CLOTHS = Store::Remembered.new(MOST_JOBS)
      private_constant :MADE, :STATES, :WHOLE, :JOBS, :OF_CLOTHS

      module_function

      # @param made_of [Array] everything that something is made of, by its content
      # @return [Object] one small object for all that is the same: long lists are compared once
      #
      #   Work::Memory.state([1]).equal?(Work::Memory.state([1])) # => true
      def state(made_of) = STATES.fetch(made_of) { Object.new.freeze }

      # @param state [Object] of what it is made from
      # @param name [Array] what it is
      # @yieldreturn [Object] the thing, where it isn't there yet; false and nil are made again each time
      #
      #   Work::Memory.fetch(work.state, [:any]) { 2 } # => 2
      def fetch(state, name) = MADE.fetch([state, name]) { yield }

      # What is made of a whole workroom is large, and another with its every change: the last one alone is kept, as
      # nobody asks again for what it was before.
      # @param thing [Class] what it is
      # @param workroom_id [Integer]
      # @param made_of [Array] everything else that it is made of, by its content
      # @yieldreturn [Object] it, where it isn't there yet
      def whole(thing, workroom_id, made_of, &made) = last_of(WHOLE, [thing, workroom_id], made_of, &made)

      # A job as it is in hand: the last one alone is kept too.
      # @param workroom_id [Integer]
      # @param id [Integer] of the job
      # @param made_of [Hash] everything that it is made of, by its content
      # @yieldreturn [Job] it, where it isn't there yet
      def job(workroom_id, id, made_of, &made) = last_of(JOBS, [workroom_id, id], made_of, &made)

      # What uses a cloth; the last alone is kept here too.
      # @param workroom_id [Integer]
      # @param id [Integer] of the cloth
      # @param made_of [Array] everything that it is made of, by its content
      # @yieldreturn [Array<Job>] it, where it isn't there yet
      def of_cloth(workroom_id, id, made_of, &made) = last_of(OF_CLOTHS, [workroom_id, id], made_of, &made)

      # @return [Job, nil] the one that {job} keeps
      def job_before(workroom_id, id) = JOBS[[workroom_id, id]]&.last

      # Forgets everything: whatever is asked for next is made anew.
      def clear = [MADE, STATES, WHOLE, JOBS, OF_CLOTHS].each(&:clear)

      # @api private
      def last_of(kept, name, made_of)
        of, last = kept[name]
        return last if of == made_of

        yield.tap { |made| kept[name] = [made_of, made] }
      end
    end
  end
end
