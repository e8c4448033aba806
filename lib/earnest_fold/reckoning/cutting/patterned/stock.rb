# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # The pieces of patterned cloth as the search for many cuts sees them, and how much of the search's work is
        # left.
        # @api private
        class Stock
          # One step of the scale costs as much as using so many pieces: the least cloth comes first, then the fewest
          # pieces.
          UNIT = 64
          # By how much prices are tried aside, in parts of NUDGED.
          NUDGES = [[0, 1], [1, 4], [2, 4], [3, 6]].freeze
          NUDGED = 2500

          # @return [Array<PieceFillings>]
          attr_reader :pieces
          # @return [Array<Integer>] by row, what a cut of that kind costs about
          attr_reader :dear
          # @return [Attainable]
          attr_reader :attainable
          # @return [Effort]
          attr_reader :effort

          # @param task [PlanTask] of patterned cloth
          # @param effort [Effort]
          def initialize(task, effort)
            @task, @effort = task, effort
            all = task.batches.flatten
            @unit = [UNIT, 1 << all.size.bit_length].max
            @dear = task.batches.flat_map { task.kinds.map { |kind| kind.length * @unit } }
            @attainable = attainable_of(all)
            @pieces =
              task
                .batches
                .each_with_index
                .flat_map { |batch, index| batch.map { |piece| [piece, index] } }
                .each_with_index
                .map { |(piece, batch), index| fillings(piece, batch, index) }
          end

          # @param wanted [Wanted] where everything is settled
          # @param prices [Array<Integer>] by row
          # @return [Array<Filling>, nil] a plan that comes soon and proves nothing
          def roughly(wanted, prices)
            laid =
              @pieces
                .group_by(&:rows)
                .map do |rows, pieces|
                  laid(pieces, wanted.needed.values_at(*rows), prices.values_at(*rows).map { |price| price / @unit })
                end
            unless laid.include?(nil)
              laid.flatten(1).reject { |places, _| places.empty? }.map { |places, piece| piece.filling(places) }
            end
          end

          # @param point [Array<Integer>] how far each piece is used, or {LEFT_ALONE}
          # @return [Integer]
          def cost(point) = point.reject(&:negative?).sum { |spent| spent * @unit + 1 }

          # @return [Integer] more than all its cloth
          def dearest =
            @dearest ||=
              (@task.batches.flatten.sum { |piece| @task.whole(piece.length) } / @attainable.step + 1) *
              @attainable.step * @unit

          # @return [Integer] more than any plan, with what leaving all cuts uncut costs
          def most = dearest * (@task.cuts.size + 1)

          # @return [Array<Bounds>] that leave everything open
          def windows = @pieces.map { Bounds.new(LEFT_ALONE, dearest) }

          private

          # Which beginning looks best hangs on little, so the prices are tried a little aside too.
          def laid(pieces, counts, prices)
            return [] if counts.all?(&:zero?)

            sets, places = Multisets.new(counts), pieces.map(&:places)
            found = NUDGES.filter_map { |by, round|
              Beam.new(
                places,
                sets,
                prices.each_with_index.map do |price, kind|
                  price + price * by * ((kind * 7 + by) % round - round / 2) / NUDGED
                end
              ).follow(sets.pack(counts))
            }
            found
              .min_by { |laid| laid.zip(places).sum { |cuts, own| cuts.empty? ? 0 : own.spent[cuts.last] } }
              &.zip(pieces)
          end

          def fillings(piece, batch, index)
            rows = @task.kinds.each_index.map { |kind| batch * @task.kinds.size + kind }
            fill = @task.fill(piece)
            PieceFillings.new(index, fill, Places.new(fill, @task.kinds, @task.paid(piece)), rows, @unit)
          end

          # Where cloth is paid for, what a piece costs isn't where its last cut ends.
          def attainable_of(all)
            ends = @task.kinds.map { |kind| kind.start + kind.length }
            step =
              if all.any? { |piece| @task.paid(piece).positive? }
                1
              else
                ends.map { |ended| ended - ends.first }.reduce(@task.repeat, :gcd)
              end
            Attainable.new(@unit, step, all.map { |piece| @task.whole(piece.pattern_start) + ends.first })
          end
        end
      end
    end
  end
end
