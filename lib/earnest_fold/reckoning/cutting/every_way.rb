# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # The best plan of all, where there are few enough cuts for every way to share treatments out among batches to
      # be weighed: fewest uncut, least cloth, fewest pieces, longest remnant.
      # @api private
      class EveryWay
        MOST_STATES = 6_000
        MOST_WORK = 4_000_000
        MOST_TREATMENTS = 10
        # Treatments cut from the batches so far, with what they take.
        Outcome = Struct.new(:uncut, :used, :pieces, :remnant, :sets) do
          # @return [Array] the least is the best
          def rank = [uncut, used, pieces, -remnant]
        end

        # @param task [PlanTask]
        def initialize(task)
          @task = task
          @counts = task.counts(task.treatments.keys)
        end

        # @return [Boolean] whether it would come to an end in good time
        def few_enough?
          states = @counts.reduce(1) { |product, count| product * (count + 1) }
          @task.treatments.size <= MOST_TREATMENTS && states <= MOST_STATES &&
            fills.sum { |fill| fill.work(states) } <= MOST_WORK
        end

        # @return [Array<PiecePlan>]
        def pieces
          best.sets.each_with_index.flat_map do |ids, index|
            @task.laid(@task.batches[index], fills[index].layout(packed(ids)), ids)
          end
        end

        private

        def sets = @sets ||= Multisets.new(@counts)

        def fills =
          @fills ||= @task.batches.map do |batch|
            BatchFill.new(
              batch.map do |piece|
                BatchFill::Fillable.new(@task.fill(piece), @task.whole(piece.length), @task.paid(piece))
              end,
              sets
            )
          end

        # @return [Integer] the cuts of these treatments, packed
        def packed(ids)
          @packed ||= @task.treatments.keys.to_h { |id| [id, sets.pack(@task.counts([id]))] }
          ids.sum { |id| @packed.fetch(id) }
        end

        # Batch by batch, the best for every set of treatments served so far.
        def best
          served =
            fills.reduce({[] => Outcome.new(@task.cuts.size, 0, 0, 0, [])}) do |choices, fill|
              with_batch(choices, fill)
            end
          served.values.min_by(&:rank)
        end

        def with_batch(choices, fill)
          here = @task.treatments.keys.select { |id| @task.allowed?(id, fills.index(fill)) }
          choices.each_with_object({}) do |(served, choice), following|
            subsets(here - served).each do |ids|
              way = fill.ways[packed(ids)] or next
              better = added(choice, way, ids)
              key = (served + ids).sort
              following[key] = better unless following[key] && (following[key].rank <=> better.rank) <= 0
            end
          end
        end

        def added(choice, way, ids)
          Outcome.new(
            choice.uncut - ids.sum { |id| @task.treatments[id].size },
            choice.used + way.used,
            choice.pieces + way.pieces,
            [choice.remnant, way.remnant].max,
            choice.sets + [ids]
          )
        end

        def subsets(ids) = (0..ids.size).flat_map { |size| ids.combination(size).to_a }
      end
    end
  end
end
