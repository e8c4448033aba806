# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # The plain rule of thumb: the treatment with most cloth first, each cut, the longest first, into the piece
      # where it ends soonest after what is there. A plan where nothing better comes in time, and what better plans
      # are held against.
      # @api private
      class LongestFirst
        # @param task [PlanTask]
        def initialize(task)
          @task = task
        end

        # @return [Array<Array<String>>] the treatments cut from each batch; each where it takes least beside what is
        #   there
        def shares
          @shares ||= by_size.each_with_object(Array.new(@task.batches.size) { [] }) do |id, sets|
            best =
              sets
                .each_index
                .select { |index| @task.allowed?(id, index) }
                .filter_map do |index|
                  (used = used(index, sets[index] + [id])) && [used - used(index, sets[index]), index]
                end
                .min
            sets[best.last] << id if best
          end
        end

        # @return [Array<PiecePlan>]
        def pieces =
          shares.each_with_index.flat_map { |ids, index| @task.laid(@task.batches[index], laid(index, ids), ids) }

        private

        def by_size = @task.treatments.keys.sort_by { |id| -@task.treatments[id].sum { |cut| cut.length.mm } }

        def used(index, ids) = laid(index, ids)&.sum { |cuts| cuts.empty? ? 0 : cuts.last.last }

        # @return [Array<Array<Array(Integer, Integer, Integer)>>, nil] nil where a cut finds no place
        def laid(index, ids)
          fills = @task.batches[index].map { |piece| @task.fill(piece) }
          placed = fills.map { [] }
          placed if longest_first(ids).all? { |kind| place(kind, fills, placed) }
        end

        # @return [Boolean] whether there was a place for it
        def place(kind, fills, placed)
          cut = @task.kinds[kind]
          places = fills.each_index.filter_map do |piece|
            at = placed[piece].last&.last || 0
            from = fills[piece].start_of(at, cut)
            [from + cut.length - at, piece, from] if from
          end
          _, piece, from = places.min
          !piece.nil? && placed[piece] << [kind, from, from + cut.length]
        end

        def longest_first(ids) =
          @task
            .counts(ids)
            .each_with_index
            .flat_map { |count, kind| [kind] * count }
            .sort_by { |kind| -@task.kinds[kind].length }
      end
    end
  end
end
