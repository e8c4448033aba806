# frozen_string_literal: true

module EarnestFold
  module Store
    # A job with all that it is reckoned by, in one question: the job itself, and in which state everything beside it
    # is. Only what nobody has read in that state is asked for.
    class AtHand
      def initialize(workroom)
        @workroom = workroom
      end

      # @param id [Integer] the job's
      # @return [There]
      # @raise [Missing]
      def find(id)
        rows = Store.guard { Store.prepared(:at_hand, workroom: @workroom.id, job: id) { whole } }
        rows.empty? ? raise(Missing, "no job #{id}") : There.new(@workroom, id, rows.first)
      end

      private

      def whole = Jobs.whole_job.select_append(
        Cloths.state(:$workroom).as(:cloths_state),
        House.state(:$workroom).as(:house_state),
        Plans.state(:$workroom, :$job).as(:made_state),
        Bench.state(:$workroom, :$job).as(:progress_state)
      )

      # What was found; each part of it is read where somebody asks for it.
      class There
        # @return [Hash] as it stands: another with any change of the job or of anything beside it
        attr_reader :state

        # @param workroom [Workroom]
        # @param id [Integer] the job's
        # @param state [Hash] the row
        def initialize(workroom, id, state)
          @workroom, @id, @state = workroom, id, state
        end

        # @return [Records::Job]
        def job = Store.guard { @workroom.jobs.record_of(state) }

        # @return [Array<Records::Cloth>]
        def cloths = Store.guard { @workroom.cloths.in_state(state[:cloths_state]) }

        # @return [House::Record]
        def house = Store.guard { @workroom.house.in_state(state[:house_state]) }

        # @return [Hash{String => Array}] the cuts that were made ({Plans#made})
        def made = @workroom.plans.made_in_state(@id, state[:made_state])

        # @return [Bench::Progress] what was said at the bench
        def progress = @workroom.bench.progress_in_state(@id, state[:progress_state])
      end
    end
  end
end
