# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # Fillings of one piece that gain nearly as much as the best, of what is left to cut. They are looked for cut
        # by cut, kinds that the mixture takes most of first.
        # @api private
        class NearlyBest
          # How many beginnings are looked at for each filling that is wanted.
          VISITED = 100

          # @param piece [PieceFillings]
          # @param mixture [Relaxation] whose prices lead
          # @param window [Bounds]
          # @param from_here [Array<Integer>] by place, what the rest of the piece costs at best
          # @param limit [Integer] what a filling may cost less what it yields
          # @param most [Integer] how many are wanted
          def initialize(piece, mixture, window, from_here, limit, most)
            @piece, @window, @from_here, @limit, @most = piece, window, from_here, limit, most
            @prices, @places = mixture.prices, piece.places
            @order = mixture.rows_taken(piece)
            @seen, @found, @cuts, @visits = {}, [], [], 0
          end

          # @param left [Array<Integer>] by row: no more than this
          # @return [Array<Array<Integer>>] the places of each filling, the best first
          def found(left)
            @left = left.dup
            go(0, 0)
            @found.sort_by(&:first).map(&:last)
          end

          # @return [Boolean] whether it stopped before all was looked at
          def over? = @found.size >= @most || @visits > @most * VISITED

          private

          def go(place, value)
            return if over?

            @visits += 1
            @order.each do |kind, row|
              next if @left[row].zero?

              following = @places.of_kind(kind, place)
              take(following, row, value - @prices[row]) if following
            end
          end

          def take(place, row, value)
            @left[row] -= 1
            @cuts << place
            unless over? || @seen[key = [place, @left.values_at(*@piece.rows)]]
              @seen[key] = true
              on = @places.following[place]
              go(on, value) if value + @from_here[on] <= @limit
              ended = value + @piece.cost(place, @window)
              @found << [ended, @cuts.dup] if ended <= @limit
            end
            @cuts.pop
            @left[row] += 1
          end
        end
      end
    end
  end
end
