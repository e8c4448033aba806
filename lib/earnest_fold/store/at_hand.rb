# frozen_string_literal: true

module EarnestFold
  module Store
    # A job with all that it is reckoned by, in one question: the job itself, and in which state everything beside it
    # is. Only what nobody has read in that state is asked for.
    class AtHand
      # `made` are the cuts that were made ({Plans#made}), `progress` what was said at the bench ({Bench#progress}).
      There = Reckoning::Value.define(:job, :cloths, :house, :made, :progress)

      def initialize(workroom)
        @workroom = workroom
      end

      # @param id [Integer] the job's
      # @return [There]
      # @raise [Missing]
      def find(id)
        Store.guard do
          rows = Store.prepared(:at_hand, workroom: @workroom.id, job: id) { whole }
          raise Missing, "no job #{id}" if rows.empty?

          beside = rows.first
          There.new(
            job: @workroom.jobs.record_of(rows),
            cloths: @workroom.cloths.in_state(beside[:cloths_state]),
            house: @workroom.house.in_state(beside[:house_state]),
            made: @workroom.plans.made_in_state(id, beside[:made_state]),
            progress: @workroom.bench.progress_in_state(id, beside[:progress_state])
          )
        end
      end

      private

      def whole = Jobs.whole_job.select_append(
        Cloths.state(:$workroom).as(:cloths_state),
        House.state(:$workroom).as(:house_state),
        Plans.state(:$workroom, :$job).as(:made_state),
        Bench.state(:$workroom, :$job).as(:progress_state)
      )
    end
  end
end
