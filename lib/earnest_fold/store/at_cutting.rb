# frozen_string_literal: true

module EarnestFold
  module Store
    # All that the cutting of a job stands on, in one question: in which state its cloths' pieces are, the plans at the
    # table, and what is wished for. Only what nobody has read in that state is asked for.
    class AtCutting
      # `pieces` are those of its cloths, used up ones too.
      Material = Reckoning::Value.define(:pieces, :table, :wishes)
      # Of as many jobs as are at work.
      READ = Remembered.new(40)
      private_constant :READ

      def initialize(workroom)
        @workroom = workroom
      end

      # @param job_id [Integer]
      # @param cloths [Array<Integer>] ids of those that it is made of
      # @return [Material]
      def find(job_id, cloths)
        Store.guard do
          given = {workroom: @workroom.id, job: job_id, cloths: Shelf.list(cloths)}
          state = Store.prepared(:at_cutting, **given) { Versions.of(stands_on) }.first.values
          READ.fetch([@workroom.id, job_id, cloths, state]) { read(job_id, cloths) }
        end
      end

      private

      def read(job_id, cloths)
        Material.new(
          pieces: @workroom.shelf.all(cloths: cloths, used_up: true).freeze,
          table: @workroom.plans.of(job_id),
          wishes: @workroom.cutting_wishes.of(job_id).freeze
        )
      end

      def stands_on = Shelf.stands_there(Shelf.of_cloths(:$workroom, :$cloths)).merge(
        Plans.stands_at_table(:$workroom, :$job),
        CuttingWishes.stands_there(:$workroom, :$job)
      )
    end
  end
end
