# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # What the cuts cost at least if a piece could be cut partly one way and partly another: the cheapest mixture
        # of fillings, found by {Simplex}, with new fillings added for as long as one would make the mixture cheaper.
        # At any prices on the way, what is wanted is worth so much, less what every piece gains at best: no plan
        # costs less (Lagrange's bound).
        #
        # A narrower one begins where this one ended: what it no longer allows is made so dear that it is given up.
        # @api private
        class Relaxation
          # Making up a cut from nowhere costs as much as so many of it.
          FROM_NOWHERE = 10
          # What isn't allowed costs as much as so many times all the cloth. Where the mixture takes of it all the
          # same, or makes something up from nowhere, both become so many times dearer than any plan.
          DEAR, STERN = 4, 1_000
          # What one mixture takes beside its steps.
          WORK = 300
          # New prices are sought in between the best so far and those of the mixture, in fifths.
          KEPT, NEW = 3, 2

          # @return [Wanted]
          attr_reader :wanted
          # @return [Array<Bounds, Filling>] by piece
          attr_reader :windows
          # @return [Integer] no plan costs less; and the same before it was raised to what can be attained
          attr_reader :bound, :value
          # @return [Array<Integer>] by row, those that told the bound
          attr_reader :prices
          # @return [Array<Array(Filling, Rational)>, nil] what the mixture takes of each; nil where there is none,
          #   the bound being enough
          attr_reader :fillings

          # @param stock [Stock]
          # @param wanted [Wanted]
          # @param windows [Array<Bounds>] by piece
          def initialize(stock, wanted, windows)
            @stock, @wanted, @windows, @prices = stock, wanted, windows, stock.dear
            @rows, @first = wanted.counts.size, wanted.counts.size + wanted.choices.size
            @dear = stock.dearest * DEAR
            @columns = {}.compare_by_identity
            @programme = programme
          end

          # @param below [Integer] a bound that reaches this is enough
          # @return [self] with what it found
          def seek(below)
            @bound = @value = @fillings = nil
            loop do
              minimise
              found = cheaper?(between) || cheaper?(@exact)
              return self if @bound >= below || @stock.effort.over?
              break mix unless found || sterner?
            end
            self
          end

          # @param wanted [Wanted] with less open
          # @param windows [Array<Bounds, Filling>] by piece, narrower ones
          # @return [Relaxation]
          def narrow(wanted, windows) = dup.tap { |narrower| narrower.forbid(wanted, windows) }

          # @param piece [Integer]
          # @return [Array<Array(Integer, Rational)>] how far the mixture goes on a piece, with shares
          def ends(piece)
            alone = @alone[piece]
            @fillings.filter_map { |filling, share| [filling.spent, share] if filling.piece == piece } +
              (alone ? [[LEFT_ALONE, alone]] : [])
          end

          # @return [Array<Array(Wanted::Option, Rational)>] what the mixture chooses
          attr_reader :chosen

          # @param piece [PieceFillings]
          # @return [Array<Array(Integer, Integer)>] kind and row, those that the mixture cuts most of from this piece
          #   first
          def rows_taken(piece)
            taken = Hash.new(0)
            @fillings.each do |filling, share|
              filling.yields.each { |row, count| taken[row] += share * count } if filling.piece == piece.index
            end
            piece.rows.each_with_index.map { |row, kind| [kind, row] }.sort_by { |kind, row| [-taken[row], kind] }
          end

          protected

          def forbid(wanted, windows)
            changed = windows.each_index.reject { |piece| windows[piece].equal?(@windows[piece]) }
            @wanted, @windows = wanted, windows
            @programme.give_up(
              @columns.select { |filling, _| changed.include?(filling.piece) && !allowed?(filling) }.values +
                alone_no_more(changed) + chosen_no_more,
              @dear
            )
          end

          private

          def initialize_copy(other)
            super
            @programme, @columns = @programme.dup, @columns.dup
          end

          # The rows of what is wanted, then the treatments that aren't settled, then the pieces.
          def programme
            ones = Array.new(@wanted.choices.size + @windows.size, 1)
            programme = Simplex.new(
              @wanted.counts + ones,
              @stock.dear.map { |cost| cost * FROM_NOWHERE } + ones.map { @dear }
            )
            @rows.times { |row| programme.add(0, [[row, -1]]) }
            @left_alone = @windows.each_index.map { |piece| programme.add(0, [[@first + piece, 1]]) }
            @choices = @wanted.choices.each_with_index.flat_map do |choices, index|
              choices.map do |choice|
                [
                  choice,
                  programme.add(choice.cost, [[@rows + index, 1], *choice.needs.map { |row, count| [row, -count] }])
                ]
              end
            end
            programme
          end

          def minimise
            steps = @programme.steps
            @programme.minimise
            @stock.effort.spend(WORK + (@programme.steps - steps) * (@first + @windows.size)**2)
            prices = @programme.prices
            @exact, @of_pieces = prices.first(@rows), prices.last(@windows.size)
          end

          # Prices that swing less than those of the mixture are found sooner to be good.
          def between =
            @value ? @prices.zip(@exact).map { |best, exact| (KEPT * best + NEW * exact) / (KEPT + NEW) } : @prices

          # @return [Boolean] whether these prices lead to a filling that makes the mixture cheaper
          def cheaper?(prices)
            used = @windows.each_index.select { |piece| @windows[piece].used? }
            best = used.to_h { |piece| [piece, @stock.pieces[piece].best(prices, @windows[piece])] }
            @stock.effort.spend(used.sum { |piece| @stock.pieces[piece].size })
            tell(prices, best)
            best
              .each_value
              .filter_map { |_, filling| filling }
              .select { |filling| !@columns.key?(filling) && filling.gain(@exact) < @of_pieces[filling.piece] }
              .each { |filling| add(filling) }
              .any?
          end

          def tell(prices, best)
            gains = @windows.each_index.map { |piece| (best[piece] || [PieceFillings::NEVER]).first }
            worth = @wanted.value(prices)
            @bound = [@bound || 0, @stock.attainable.least(worth, gains, @windows)].max
            value = worth + best.each_key.sum { |piece| @windows[piece].alone? ? [gains[piece], 0].min : gains[piece] }
            @value, @prices = value, prices if @value.nil? || value > @value
          end

          def add(filling) =
            @columns[filling] = @programme.add(filling.cost, [*filling.yields, [@first + filling.piece, 1]])

          def mix
            taken = @programme.taken.to_h
            @fillings = shares(@columns, taken).select { |filling, _| allowed?(filling) }
            @chosen = shares(@choices, taken).select { |choice, _| @wanted.open?(choice) }
            @alone =
              @windows
                .each_index
                .select { |piece| @windows[piece].alone? }
                .to_h { |piece| [piece, taken[@left_alone[piece]]] }
          end

          def allowed?(filling) = @windows[filling.piece].holds?(filling)

          # @return [Boolean] whether the mixture is to be looked for anew, since it takes what there isn't
          def sterner?
            return false if @stern

            taken, dear = @programme.taken.to_h, forbidden
            return false if dear.none? { |column| taken[column] }

            @stern = @dear = @stock.most * STERN
            @programme.give_up(dear, @dear)
          end

          # The columns that make up something from nowhere, and all that isn't allowed.
          def forbidden
            [
              *0...(@first + @windows.size),
              *alone_no_more(@windows.each_index),
              *@columns.reject { |filling, _| allowed?(filling) }.values,
              *chosen_no_more
            ]
          end

          def alone_no_more(pieces) =
            pieces.reject { |piece| @windows[piece].alone? }.map { |piece| @left_alone[piece] }

          def chosen_no_more = @choices.reject { |choice, _| @wanted.open?(choice) }.map(&:last)

          def shares(columns, taken) = columns.filter_map { |one, column| [one, taken[column]] if taken[column] }
        end
      end
    end
  end
end
