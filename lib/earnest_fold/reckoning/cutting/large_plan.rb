# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # Plans for many cuts of plain cloth, with what no plan can go under. Treatments are shared out among batches in
      # a few ways (all from one batch where it is enough; else as the rule of thumb shares them), and each batch is
      # searched by itself.
      # @api private
      class LargePlan
        ROUNDS = 6
        # Treatments by batch, what they use, and how they lie.
        Shared = Struct.new(:ids, :used, :pieces)

        # @return [Array<PiecePlan>, nil] the best plan found that leaves nothing uncut; nil where none was
        attr_reader :pieces
        # @return [Integer] no plan of all treatments uses less
        attr_reader :bound

        # @param task [PlanTask] of plain cloth
        # @param thumb [LongestFirst]
        def initialize(task, thumb)
          @task = task
          @counts = task.counts(task.treatments.keys)
          @whole = search(task.batches.flatten, @counts)
          @bound = @whole.bound
          best = bettered(shares(thumb).filter_map { |ids| planned(ids) }.min_by(&:used))
          @pieces, @used = best&.pieces, best&.used
        end

        # @return [Boolean] whether no plan is better
        def proved? = !@pieces.nil? && @used <= @bound

        private

        def shares(thumb)
          all = @task.treatments.keys
          alone = @task.batches.each_index.map do |index|
            @task.batches.each_index.map { |one| (one == index) ? all : [] }
          end
          alone << thumb.shares if @task.batches.size > 1 && thumb.shares.sum(&:size) == all.size
          alone.select { |ids| allowed?(ids) }
        end

        def allowed?(shares) = shares.each_with_index.all? { |ids, index| ids.all? { |id| @task.allowed?(id, index) } }

        # One treatment at a time is given to another batch, as long as that takes less.
        def bettered(best)
          ROUNDS.times do
            return best if best.nil? || best.used <= @bound

            better =
              neighbours(best.ids).select { |ids| allowed?(ids) }.filter_map { |ids| planned(ids) }.min_by(&:used)
            return best if better.nil? || better.used >= best.used

            best = better
          end
          best
        end

        def neighbours(ids)
          ids.each_index.flat_map do |from|
            ids[from].flat_map do |id|
              (ids.each_index.to_a - [from]).map do |to|
                ids.each_with_index.map { |own, index| {from => own - [id], to => own + [id]}.fetch(index, own) }
              end
            end
          end
        end

        # @return [Shared, nil]
        def planned(ids)
          laid = ids.each_with_index.map do |own, index|
            if own.empty?
              [0, @task.laid(@task.batches[index], @task.batches[index].map { [] }, [])]
            else
              batch_planned(index, own)
            end
          end
          laid.include?(nil) ? nil : Shared.new(ids, laid.sum(&:first), laid.flat_map(&:last))
        end

        def batch_planned(index, ids)
          batch = @task.batches[index]
          counts = @task.counts(ids)
          if batch.sum { |piece| @task.whole(piece.length) } <
              counts.zip(@task.kinds).sum { |count, kind| count * kind.length }
            return
          end

          # Where there is one batch, what it is searched by is what the bound comes from.
          found = ((@task.batches.size == 1) ? @whole : search(batch, counts)).best or return
          [found.used, @task.laid(batch, found.placed, ids)]
        end

        def search(pieces, counts) = LargeSearch.new(@task.stretches(pieces), @task.kinds, counts)
      end
    end
  end
end
