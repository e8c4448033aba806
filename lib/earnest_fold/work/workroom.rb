# frozen_string_literal: true

module EarnestFold
  module Work
    # The door to what a workroom has in hand: its jobs with what the house has decided, and each work of them.
    #
    #   Workroom.new(Store.workroom).job(1).work(2).title
    class Workroom
      # @return [Store::Workroom] what is kept
      attr_reader :kept

      # @param kept [Store::Workroom]
      def initialize(kept)
        @kept = kept
      end

      # @return [Store::House::Record] as it was when it was asked for first
      def house = @house ||= kept.house.read

      # @return [Array<String>] the house's rules that can't be read, where anybody has asked for the house
      def unread = @house ? @house.unread : []

      # @param id [Integer]
      # @return [Job] of which each work is known to be sound
      # @raise [Store::Missing]
      def job(id)
        there = at_hand(id)
        Memory.job(kept.id, id, there.state) { in_hand(id, there).sound }
      end

      # @param id [Integer]
      # @return [Store::AtPiece::Seen] a piece with all that is looked at with it
      # @raise [Store::Missing]
      def piece(id)
        there = kept.at_piece.find(id)
        @house ||= there.house
        there
      end

      # @param cloth_id [Integer]
      # @param cloths [Array<Store::Records::Cloth>] all there are
      # @return [Array<Job>] those at work that use the cloth, the last changed first, each with the works alone that
      #   do, known to be sound: the same ones as long as nothing of them has changed
      def using(cloth_id, cloths)
        jobs = kept.jobs.using(cloth_id)
        Memory.of_cloth(kept.id, cloth_id, [jobs, cloths, house.state]) do
          jobs.map { |job| Job.new(job, cloths, house).sound }
        end
      end

      # @param most [Integer]
      # @return [Array<Job>] those changed last, each with its works known to be sound; in as many questions as for one
      def at_work(most)
        ids = kept.jobs.list.first(most).map(&:id)
        cloths, made, progress = kept.cloths.all, kept.plans.made_of(ids), kept.bench.progress_of(ids)
        kept.jobs.all(ids).map do |job|
          Job.new(job, cloths, house, made.fetch(job.id, {}), progress.fetch(job.id, Store::Bench::NOTHING)).sound
        end
      end

      # @param id [Integer]
      # @return [Job] unlooked at: where one work is changed, again and again, nobody asks for its order of work each
      #   time
      # @raise [Store::Missing]
      def job_as_it_is(id) = in_hand(id, at_hand(id))

      private

      def at_hand(id) = kept.at_hand.find(id).tap { |there| @house ||= there.house }

      def in_hand(id, there) = Job.new(
        there.job, there.cloths, there.house, there.made, there.progress, before: Memory.job_before(kept.id, id)
      )
    end
  end
end
