# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # Makes a whole plan of a mixture: one filling after the other is chosen, and each time the rest is mixed
        # anew, which says at once whether the plan can still come out as wanted.
        # @api private
        class Completion
          # @param stock [Stock]
          # @param most [Integer] how many fillings are tried in all, and of one piece
          # @param target [Integer] what the plan may cost
          def initialize(stock, most, target)
            @stock, @most, @target, @tried, @whole = stock, most, target, 0, true
          end

          # @return [Boolean] whether every way was looked at, so that where no plan was found there is none
          def whole? = @whole && !over?

          # @param mixture [Relaxation] with everything settled but the fillings
          # @param left [Array<Integer>] by row, what is still to cut
          # @return [Relaxation, nil] whose windows are fillings, or leave the piece alone
          def plan(mixture, left = mixture.wanted.needed)
            return mixture if left.all?(&:zero?)

            candidates(mixture, left)
              .lazy
              .take_while { !over? }
              .filter_map { |filling| with(mixture, filling, left) }
              .first
          end

          private

          def over? = @tried >= @most || @stock.effort.over?

          # On the last piece all that is left; on others what gains most.
          def candidates(mixture, left)
            open = mixture.windows.each_index.reject do |piece|
              mixture.windows[piece].is_a?(Filling) || !mixture.windows[piece].used?
            end
            return [] if open.empty?

            open.one? ? last(open.first, left) : several(mixture, next_piece(mixture, left, open), left)
          end

          def last(piece, left)
            piece = @stock.pieces[piece]
            @whole &&= piece.few?(left)
            piece.few?(left) ? [piece.all_of(left)].compact : []
          end

          # Those of the mixture first, then others that gain nearly as much; no two that yield the same.
          def several(mixture, piece, left)
            mixed =
              mixture
                .fillings
                .select { |filling, _| filling.piece == piece && room?(filling, left) }
                .sort_by { |_, share| -share }
                .map(&:first)
            nearly, all =
              @stock.pieces[piece].nearly_best(mixture, mixture.windows[piece], left, @target - mixture.value, @most)
            @whole &&= all
            (mixed + nearly).uniq(&:yields)
          end

          # The piece that the mixture is surest about.
          def next_piece(mixture, left, open)
            mixed = mixture.fillings.select { |filling, _| open.include?(filling.piece) }
            surest =
              mixed.select { |filling, _| room?(filling, left) }.max_by(&:last) ||
              mixed.min_by { |filling, _| filling.places.size }
            surest&.first&.piece || open.first
          end

          def room?(filling, left) = filling.yields.all? { |row, count| count <= left[row] }

          def with(mixture, filling, left)
            @tried += 1
            windows = mixture.windows.dup.tap { |all| all[filling.piece] = filling }
            narrower = mixture.narrow(mixture.wanted, windows).seek(@target + 1)
            left = left.dup.tap { |all| filling.yields.each { |row, count| all[row] -= count } }
            plan(narrower, left) if narrower.fillings
          end
        end
      end
    end
  end
end
